import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { MAIN_AT_60, minute, type Said } from '../../testing/build';
import { joined, joinedInspection, runFrom, tee, tieOf } from '../../testing/joined';

const run = (assessment: ReturnType<typeof joined>, id: string) =>
  assessment.lateral.axes.find((axis) => axis.run.id === id)!;
const tied = (assessment: ReturnType<typeof joined>, id: string) =>
  assessment.lateral.join.ties.find((tie) => tie.id === id)!;

describe('one tie', () => {
  // Station 40 by R1, 25 ft up from B: B lies at 65. σ₁ = .5 + .2, σ₂ = .5 + .125, and 25 ft at ±1%.
  const one = joined({
    runs: [
      runFrom('R1', 'A', 'downstream', [tee(40), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [
        tee(25),
        { kind: 'end', reason: 'join', confirmedBy: 'sight', readingFt: 50 },
      ]),
    ],
    ties: [tieOf('T1', 'R1 1 = R2 1')],
  });

  it('places the other access where the thing says', () => {
    expect(run(one, 'R2').originFt).toBeCloseTo(65, 9);
    expect(run(one, 'R2').scale).toBeCloseTo(1, 9);
    expect(tied(one, 'T1')).toMatchObject({ standing: 'unchecked' });
    expect(tied(one, 'T1').stationFt).toBeCloseTo(40, 9);
    expect(tied(one, 'T1').sigmaFt).toBeCloseTo(0.7, 9);
  });
  it('says how sure the access is', () => {
    const variance = 0.7 ** 2 + 0.625 ** 2 + 0.25 ** 2;
    const place = run(one, 'R2').placeOf('out', 0);
    expect(place.sigmaFt).toBeCloseTo(Math.sqrt(variance + 0.5 ** 2), 9);
  });
  it('is one feature with the sightings of both, and asks for a second tie', () => {
    expect(one.lateral.features).toHaveLength(1);
    expect(one.lateral.features[0]!.sightings).toHaveLength(2);
    expect(one.checks.filter(({ code }) => code === 'tie-unchecked')).toHaveLength(1);
    expect(one.checks.some(({ code }) => code === 'run-unplaced')).toBe(false);
  });
});

describe('two ties', () => {
  // R2's two things are 20.4 ft apart where R1 has them 20: B's origin takes up the middle.
  const two = joined({
    runs: [
      runFrom('R1', 'A', 'downstream', [tee(20), tee(40), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [tee(20), tee(40.4)]),
    ],
    ties: [tieOf('T1', 'R1 2 = R2 1'), tieOf('T2', 'R1 1 = R2 2')],
  });
  it('solve the normal equations, worked by hand', () => {
    // Unknowns o and u = s − 1; each tie: (40 − (o − 20(1 + u))) and (20 − (o − 40.4(1 + u))), of
    // variance (.7² + .6²) and (.6² + .702²); the prior u = 0 ± .01.
    const v1 = 0.7 ** 2 + 0.6 ** 2;
    const v2 = 0.6 ** 2 + (0.5 + 0.005 * 40.4) ** 2;
    const [a, b] = [1 / v1, 1 / v2];
    const n = [
      [a + b, -(20 * a + 40.4 * b)],
      [-(20 * a + 40.4 * b), 400 * a + 40.4 ** 2 * b + 1e4],
    ] as const;
    const t = [60 * a + 60.4 * b, -(20 * 60 * a + 40.4 * 60.4 * b)] as const;
    const det = n[0][0] * n[1][1] - n[0][1] * n[1][0];
    const origin = (t[0] * n[1][1] - n[0][1] * t[1]) / det;
    const u = (n[0][0] * t[1] - n[1][0] * t[0]) / det;
    expect(run(two, 'R2').originFt).toBeCloseTo(origin, 9);
    expect(run(two, 'R2').scale).toBeCloseTo(1 + u, 9);
    const place = run(two, 'R2').placeOf('out', 0);
    expect(place.sigmaFt).toBeCloseTo(Math.sqrt(n[1][1] / det + 0.25), 9);
  });
  it('check one another', () => {
    expect(two.lateral.join.ties.map(({ standing }) => standing)).toEqual(['fits', 'fits']);
  });
  it('that disagree are both named, and neither is the culprit', () => {
    const off = joined({
      runs: [
        runFrom('R1', 'A', 'downstream', [tee(20), tee(40), MAIN_AT_60]),
        runFrom('R2', 'B', 'upstream', [tee(12), tee(40)]),
      ],
      ties: [tieOf('T1', 'R1 2 = R2 1'), tieOf('T2', 'R1 1 = R2 2')],
    });
    expect(off.lateral.join.misfits.map(({ links }) => links.map(({ id }) => id).sort())).toEqual([
      ['T1', 'T2'],
    ]);
    const [issue] = off.checks.filter(({ code }) => code === 'tie-misfit');
    expect(issue?.message).toMatch(/T1.*T2.*nobody can say which/);
    expect(issue?.level).toBe('blocker');
  });
});

describe('taped spans', () => {
  const down = runFrom('R1', 'A', 'downstream', [tee(40), MAIN_AT_60]);
  const up = runFrom('R2', 'B', 'upstream', [tee(9)]);
  const span = (fromAccessPointId: string, toAccessPointId: string, alongFt: number) =>
    ({ fromAccessPointId, toAccessPointId, alongFt, basis: 'taped' }) as const;
  it('place an access that shares no thing: positive is downstream', () => {
    const there = joined({ runs: [down, up], spans: [span('A', 'B', 3.5)] });
    expect(run(there, 'R2').originFt).toBeCloseTo(3.5, 9);
    const back = joined({ runs: [down, up], spans: [span('B', 'A', 3.5)] });
    expect(run(back, 'R2').originFt).toBeCloseTo(-3.5, 9);
    expect(run(there, 'R2').placeOf('out', 0).sigmaFt).toBeCloseTo(Math.hypot(0.5, 0.535), 9);
    expect(there.checks.some(({ code }) => code === 'tie-unchecked')).toBe(false);
  });
  it('of another line say nothing, and a run that nothing joins stays unplaced', () => {
    const away = joined({ runs: [down, up], spans: [span('A', 'C', 10)] });
    expect(away.lateral.unplaced.map(({ run: { id } }) => id)).toEqual(['R2']);
    expect(away.checks.some(({ code }) => code === 'run-unplaced')).toBe(true);
  });
  it('that a tie contradicts are named with it', () => {
    const both = joined({
      runs: [down, up],
      ties: [tieOf('T1', 'R1 1 = R2 1')],
      spans: [span('A', 'B', 20)],
    });
    expect(both.checks.find(({ code }) => code === 'tie-misfit')?.message).toMatch(
      /tape.*disagree/,
    );
  });
});

describe('runs in a chain', () => {
  const chain = joined({
    runs: [
      runFrom('R1', 'A', 'downstream', [tee(40), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [tee(10), tee(30)]),
      runFrom('R3', 'C', 'downstream', [tee(15)]),
    ],
    ties: [tieOf('T1', 'R1 1 = R2 1'), tieOf('T2', 'R2 2 = R3 1')],
  });
  it('are placed one by the other', () => {
    // B = 40 + 10; R2's second thing at 50 − 30 = 20; C = 20 − 15.
    expect(run(chain, 'R2').originFt).toBeCloseTo(50, 9);
    expect(run(chain, 'R3').originFt).toBeCloseTo(5, 9);
    expect(run(chain, 'R3').placeOf('out', 0).sigmaFt).toBeGreaterThan(
      run(chain, 'R2').placeOf('out', 0).sigmaFt,
    );
  });
});

describe('corrections', () => {
  it('carry a tie along their chain, and a retraction drops the sighting', () => {
    const runs = (more: Said[]) => [
      runFrom('R1', 'A', 'downstream', [tee(40), MAIN_AT_60]),
      runFrom('R2', 'B', 'upstream', [tee(52), ...more]),
    ];
    const ties = [tieOf('T1', 'R1 1 = R2 1')];
    const right = joined({ runs: runs([tee(25, { replaces: 'e1' })]), ties });
    expect(run(right, 'R2').originFt).toBeCloseTo(65, 9);
    expect(tied(right, 'T1').sightings[1]).toMatchObject({ entryId: 'e2', namedEntryId: 'e1' });
    const gone = joined({ runs: runs([{ kind: 'retract', retracts: 'e1' }]), ties });
    expect(gone.lateral.unplaced.map(({ run: { id } }) => id)).toEqual(['R2']);
  });
});

/** A true line seen by three runs from A, B and C, each reading out by up to a tenth. */
const scene = fc
  .record({
    things: fc.uniqueArray(fc.integer({ min: 6, max: 54 }), { minLength: 3, maxLength: 7 }),
    noise: fc.array(fc.integer({ min: -3, max: 3 }), { minLength: 21, maxLength: 21 }),
    b: fc.integer({ min: 56, max: 80 }),
    c: fc.integer({ min: -20, max: 4 }),
  })
  .map(({ things, noise, b, c }) => {
    const stations = [...things].sort((x, y) => x - y);
    const read = (at: number, k: number) => Math.round((at + noise[k]! / 10) * 10) / 10;
    const runs = [
      runFrom('R1', 'A', 'downstream', [...stations.map((at, k) => tee(read(at, k))), MAIN_AT_60]),
      runFrom(
        'R2',
        'B',
        'upstream',
        stations.map((at, k) => tee(read(b - at, k + 7))),
      ),
      runFrom(
        'R3',
        'C',
        'downstream',
        stations.map((at, k) => tee(read(at - c, k + 14))),
      ),
    ];
    const ties = stations.map((_, k) =>
      tieOf(`T${k + 1}`, `R1 ${k + 1} = R2 ${k + 1} = R3 ${k + 1}`),
    );
    return { runs, ties, stations };
  });

describe('any joined runs', () => {
  const shape = (assessment: ReturnType<typeof joined>) => ({
    origins: ['R1', 'R2', 'R3'].map((id) => [
      run(assessment, id).originFt,
      run(assessment, id).scale,
    ]),
    ties: ['T1', 'T2', 'T3'].map((id) => [
      tied(assessment, id).stationFt,
      tied(assessment, id).sigmaFt,
    ]),
    features: assessment.lateral.features.map(({ stationFt, sigmaFt }) => [stationFt, sigmaFt]),
  });
  const near = (a: unknown, b: unknown) => {
    const numbers = (x: unknown) => (JSON.stringify(x).match(/-?\d[\d.e-]*/g) ?? []).map(Number);
    const [left, right] = [numbers(a), numbers(b)];
    expect(left).toHaveLength(right.length);
    left.forEach((value, index) => expect(value).toBeCloseTo(right[index]!, 6));
  };

  it('are the same in whatever order runs, ties and entries come', () => {
    fc.assert(
      fc.property(scene, fc.nat(), ({ runs, ties }, turn) => {
        const inspection = joinedInspection({ runs, ties });
        const turned = <T>(list: readonly T[]) => {
          const at = turn % Math.max(1, list.length);
          return [...list.slice(at), ...list.slice(0, at)].reverse();
        };
        const other = {
          ...inspection,
          runs: turned(runs).map((one) => ({ ...one, entries: turned(one.entries) })),
          ties: turned(ties).map((tie) => ({ ...tie, sightings: turned(tie.sightings) })),
        };
        near(shape(assess(other)), shape(assess(inspection)));
      }),
      { numRuns: 60 },
    );
  });

  it('are never less sure for one tie more', () => {
    fc.assert(
      fc.property(scene, ({ runs, ties }) => {
        let before: ReturnType<typeof joined> | null = null;
        for (let count = 1; count <= ties.length; count += 1) {
          const now = joined({ runs, ties: ties.slice(0, count) });
          for (const id of ['R1', 'R2', 'R3']) {
            for (const alongFt of [0, 20, 50]) {
              if (!before) continue;
              const sigma = (assessment: ReturnType<typeof joined>) =>
                run(assessment, id).placeOf('out', alongFt).sigmaFt;
              expect(sigma(now)).toBeLessThanOrEqual(sigma(before) + 1e-9);
            }
          }
          for (const tie of before?.lateral.join.ties ?? []) {
            expect(tied(now, tie.id).sigmaFt!).toBeLessThanOrEqual(tie.sigmaFt! + 1e-9);
          }
          before = now;
        }
      }),
      { numRuns: 40 },
    );
  });

  it('fit where they are right: within a foot and without a misfit', () => {
    fc.assert(
      fc.property(scene, ({ runs, ties, stations }) => {
        const assessment = joined({ runs, ties });
        expect(assessment.lateral.join.misfits).toEqual([]);
        assessment.lateral.join.ties.forEach(({ stationFt }, index) => {
          expect(Math.abs(stationFt! - stations[index]!)).toBeLessThan(1);
        });
      }),
      { numRuns: 60 },
    );
  });
});

describe('lines', () => {
  it('never mix: a tie across two lines moves nothing, and says where they meet', () => {
    const runs = [
      runFrom(
        'R1',
        'A',
        'downstream',
        [{ kind: 'feature', feature: 'join', readingFt: 30 }, MAIN_AT_60],
        { lineId: 'main-line' },
      ),
      runFrom(
        'R2',
        'B',
        'downstream',
        [{ kind: 'end', reason: 'join', confirmedBy: 'sight', readingFt: 22, at: minute(30) }],
        { lineId: 'L2' },
      ),
    ];
    const lines = [
      { id: 'main-line', label: 'house' },
      { id: 'L2', label: 'studio', joins: 'main-line' },
    ];
    const apart = joined({ runs, more: { lines } });
    const tiedToo = joined({ runs, ties: [tieOf('T1', 'R1 1 = R2 1')], more: { lines } });
    for (const assessment of [apart, tiedToo]) {
      expect(assessment.branches[0]!.axes[0]!.originFt).toBe(0);
      expect(assessment.branches[0]!.features).toEqual([]);
      expect(assessment.meets.get('L2')?.stationFt).toBeCloseTo(30, 9);
    }
    expect(tiedToo.lateral.join.ties).toEqual([]);
  });
});
