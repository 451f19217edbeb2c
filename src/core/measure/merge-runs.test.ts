import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { totalFt } from '../base/interval';
import { anyLog } from '../testing/arbitrary';
import { CLAY, MAIN_AT_60, type Said } from '../testing/build';
import { joined, joinedInspection, runFrom, tee, tieOf } from '../testing/joined';

const crack = (readingFt: number, more: object = {}): Said => ({
  kind: 'defect',
  defect: 'crack',
  form: 'open',
  readingFt,
  ...more,
});
const first = (...said: Said[]) =>
  runFrom('R1', 'A', 'downstream', [tee(20), ...said, CLAY, MAIN_AT_60]);
const second = (...said: Said[]) => runFrom('R2', 'B', 'upstream', [tee(50), ...said]);
const TIE = [tieOf('T1', 'R1 1 = R2 1')];
const kinds = (assessment: ReturnType<typeof joined>) =>
  assessment.findings.map(({ kind, runIds }) => `${kind} ${runIds.join('+')}`);

describe('one defect seen by two runs', () => {
  // B lies at 70.
  it('is one finding, at the station that is surest', () => {
    const { findings } = joined({ runs: [first(crack(40)), second(crack(31))], ties: TIE });
    expect(findings).toHaveLength(1);
    expect(findings[0]!.runIds).toEqual(['R1', 'R2']);
    // R1 is the reference and the surer of the two: 40, not 39.
    expect(findings[0]!.span.fromFt).toBeCloseTo(40, 9);
  });
  it('is two beyond 3σ of their difference', () => {
    const apart = joined({ runs: [first(crack(40)), second(crack(36))], ties: TIE });
    expect(kinds(apart)).toEqual(['crack R2', 'crack R1']);
  });
  it('is two where the clocks disagree once mirrored', () => {
    const at = (clock: number) =>
      joined({
        runs: [
          first(crack(40, { clockFrom: 2, clockTo: 3 })),
          second(crack(30, { clockFrom: clock, clockTo: clock + 1 })),
        ],
        ties: TIE,
      });
    expect(kinds(at(9))).toEqual(['crack R1+R2']);
    expect(kinds(at(2))).toEqual(['crack R1', 'crack R2']);
  });
});

describe('decisions', () => {
  const decide = (kind: string, at: string[]) => ({
    decisions: [
      {
        id: 'D1',
        kind,
        reason: 'looked at both',
        sightings: at.map((one) => ({ runId: one.split(' ')[0]!, entryId: one.split(' ')[1]! })),
      },
    ],
  });
  it('join what lies too far apart', () => {
    const runs = [first(crack(40)), second(crack(36))];
    const more = decide('join-sightings', ['R1 e2', 'R2 e2']);
    expect(kinds(joined({ runs, ties: TIE, more }))).toEqual(['crack R1+R2']);
  });
  it('join two of one pass', () => {
    const runs = [first(crack(40), crack(43))];
    const more = decide('join-sightings', ['R1 e2', 'R1 e3']);
    expect(kinds(joined({ runs, more }))).toEqual(['crack R1']);
  });
  it('split what lies near, and follow a correction', () => {
    const runs = [
      first(
        crack(40),
        crack(40.2, { pass: 'back' }),
        crack(40.3, { pass: 'back', replaces: 'e3' }),
      ),
    ];
    expect(kinds(joined({ runs }))).toEqual(['crack R1']);
    const more = decide('split-sightings', ['R1 e2', 'R1 e3']);
    expect(kinds(joined({ runs, more }))).toEqual(['crack R1', 'crack R1']);
  });
});

describe('a stretch that one run saw clearly', () => {
  it('counts as seen though another saw nothing there', () => {
    const blind = (...more: Said[]) =>
      joined({
        runs: [
          first({ kind: 'unseen', cause: 'murky', readingFt: 35, toReadingFt: 45 }, ...more),
          second({ kind: 'end', reason: 'join', confirmedBy: 'sight', readingFt: 60 }),
        ],
        ties: TIE,
      }).lateral.coverage;
    expect(blind().obscuredFt).toBe(0);
    const alone = joined({
      runs: [first({ kind: 'unseen', cause: 'murky', readingFt: 35, toReadingFt: 45 })],
    });
    expect(alone.lateral.coverage.obscuredFt).toBeCloseTo(10, 9);
  });
  it('and a gap between two placed runs counts as unreached', () => {
    const short = runFrom('R1', 'A', 'downstream', [
      { kind: 'end', reason: 'obstruction', confirmedBy: 'none', readingFt: 30 },
    ]);
    const far = runFrom('R2', 'B', 'downstream', [{ ...MAIN_AT_60, readingFt: 20 }]);
    const spans = [
      { fromAccessPointId: 'A', toAccessPointId: 'B', alongFt: 42, basis: 'taped' as const },
    ];
    const { coverage, reachedMain } = joined({ runs: [short, far], spans }).lateral;
    expect(reachedMain).toBe(true);
    expect(coverage.unreachedFt).toBeCloseTo(12, 9);
    expect(coverage.gaps).toEqual([{ fromFt: 30, toFt: 42 }]);
  });
});

describe('any two joined runs', () => {
  const spans = [
    { fromAccessPointId: 'A', toAccessPointId: 'B', alongFt: 30, basis: 'taped' as const },
  ];
  it('have segments that partition the reached line, and coverage that adds up to it', () => {
    fc.assert(
      fc.property(anyLog(14), anyLog(14), fc.boolean(), (one, other, up) => {
        const runs = [
          runFrom('R1', 'A', 'downstream', one),
          runFrom('R2', 'B', up ? 'upstream' : 'downstream', other),
        ];
        const { reached, segments, coverage } = assess(joinedInspection({ runs, spans })).lateral;
        const length = segments.reduce((sum, { fromFt, toFt }) => sum + toFt - fromFt, 0);
        expect(length).toBeCloseTo(totalFt(reached), 6);
        expect(totalFt(segments)).toBeCloseTo(totalFt(reached), 6);
        expect(coverage.clearFt + coverage.obscuredFt).toBeCloseTo(totalFt(reached), 6);
      }),
      { numRuns: 150 },
    );
  });
  it('derive the same in whatever order the runs come', () => {
    fc.assert(
      fc.property(anyLog(10), anyLog(10), (one, other) => {
        const runs = [runFrom('R1', 'A', 'downstream', one), runFrom('R2', 'B', 'upstream', other)];
        const shape = (list: typeof runs) => {
          const inspection = joinedInspection({ runs: list, spans });
          const job = { ...inspection.job, referenceRunId: 'R1' };
          const { lateral, findings } = assess({ ...inspection, job });
          return {
            features: lateral.features.map(({ feature, stationFt }) => [
              feature,
              stationFt.toFixed(6),
            ]),
            coverage: [lateral.coverage.clearFt.toFixed(6), lateral.coverage.obscuredFt.toFixed(6)],
            findings: findings
              .map(({ kind, span, severity, runIds }) =>
                [
                  kind,
                  span.fromFt.toFixed(6),
                  span.toFt.toFixed(6),
                  severity,
                  [...runIds].sort().join(),
                ].join(' '),
              )
              .sort(),
          };
        };
        expect(shape([...runs].reverse())).toEqual(shape(runs));
      }),
      { numRuns: 150 },
    );
  });
});

describe('findings of a run that nothing joins', () => {
  it('know the bore that their own run logged', () => {
    const lost = runFrom('R2', 'B', 'upstream', [
      { ...CLAY, diameterIn: 4 },
      { kind: 'defect', defect: 'standing-water', depthIn: 1.5, readingFt: 10, toReadingFt: 14 },
      { kind: 'end', reason: 'lost-push', confirmedBy: 'none', readingFt: 20 },
    ]);
    const assessment = joined({ runs: [first(), lost] });
    const pool = assessment.findings.find(({ kind }) => kind === 'standing-water')!;
    expect(pool).toMatchObject({ placed: false, material: 'vitrified-clay', severity: 'major' });
    expect(assessment.checks.some(({ code }) => code === 'size-missing')).toBe(false);
  });
});
