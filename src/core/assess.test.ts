import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from './assess';
import { totalFt } from './base/interval';
import { SEVERITIES } from './catalogue/severity/grade';
import { derivedJson } from './interchange/derived-json';
import { checkInspection } from './interchange/inspection-file';
import type { Assessment } from './judge/assessment';
import { OVERALLS } from './judge/verdict';
import type { Run } from './model/job/run';
import { composeReport } from './report/compose';
import { buildSection } from './section/build';
import { tabulateSection } from './section/table';
import { anyLog } from './testing/arbitrary';
import { assessmentOf, CLAY, inspectionOf, MAIN_AT_60, runOf, type Said } from './testing/build';

const setups: fc.Arbitrary<Partial<Run>> = fc.record({
  facing: fc.constantFrom('downstream', 'upstream'),
  zero: fc.record({
    at: fc.constantFrom('rim', 'riser-base', 'horizontal', 'unknown'),
    readingFt: fc.integer({ min: 0, max: 5 }),
    dropFt: fc.integer({ min: 0, max: 15 }),
  }),
});
const jobs = fc.record({
  scope: fc.constantFrom('lateral', 'lateral-and-building-drain'),
  responsibility: fc.constantFrom('to-main', 'to-property-line'),
  profile: fc.constantFrom('maintain-first', 'renew-first'),
} as const);

/** Walks a value and names the first number in it that is none. */
function badNumber(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path;
  if (value === null || typeof value !== 'object') return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = badNumber(inner, `${path}.${key}`);
    if (found) return found;
  }
  return null;
}

describe('assess, on any log at all', () => {
  const assessment = fc
    .tuple(anyLog(18), setups, jobs)
    .map(([said, setup, job]) => inspectionOf([runOf(said, setup)], { job }));

  it('takes every log that the file format takes, and prints finite numbers and finished sentences', () => {
    fc.assert(
      fc.property(assessment, (inspection) => {
        expect(checkInspection(inspection)).toMatchObject({ ok: true });
        const result = assess(inspection);
        const printed = derivedJson(result);
        expect(badNumber(printed)).toBeNull();
        const text = JSON.stringify(printed['report']);
        expect(text).not.toMatch(/undefined|NaN|Infinity|\[object/);
        expect(badNumber(buildSection(result, { width: 900, height: 206 }).primitives)).toBeNull();
        expect(badNumber(tabulateSection(result))).toBeNull();
      }),
      { numRuns: 400 },
    );
  });

  it('keeps its books: coverage adds up, segments cover the reach, numbers are unique, reasons stand', () => {
    fc.assert(
      fc.property(assessment, (inspection) => {
        const { lateral, findings, checks, absences, overall, completeness } = assess(inspection);
        const reachedFt = totalFt(lateral.reached);
        expect(lateral.coverage.clearFt + lateral.coverage.obscuredFt).toBeCloseTo(reachedFt, 6);
        expect(totalFt(lateral.segments)).toBeCloseTo(reachedFt, 6);
        const numbers = findings.map(({ number }) => number);
        expect(new Set(numbers).size).toBe(numbers.length);
        expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
        for (const finding of findings) {
          expect(finding.because.length).toBeGreaterThan(0);
          expect(finding.span.fromFt).toBeLessThanOrEqual(finding.span.toFt);
          expect(absences).not.toContain(finding.kind);
        }
        expect(OVERALLS).toContain(overall);
        if (checks.some(({ level }) => level === 'blocker'))
          expect(overall).not.toMatch(/^serviceable/);
        if (completeness === 'whole') expect(lateral.coverage.obscuredFt).toBeCloseTo(0, 6);
      }),
      { numRuns: 400 },
    );
  });

  it('changes nothing when the same entries arrive again', () => {
    fc.assert(
      fc.property(assessment, (inspection) => {
        const twice = {
          ...inspection,
          runs: inspection.runs.map((run) => ({
            ...run,
            entries: [...run.entries, ...run.entries],
          })),
        };
        expect(derivedJson(assess(twice))).toEqual(derivedJson(assess(inspection)));
      }),
      { numRuns: 150 },
    );
  });

  it('drops from the verdict nothing that a retraction, undone, brings back', () => {
    fc.assert(
      fc.property(anyLog(10), fc.nat(), (said, pick) => {
        fc.pre(said.length > 0);
        const target = `e${(pick % said.length) + 1}`;
        const last = said.reduce(
          (latest, { at }) => (String(at) > latest ? String(at) : latest),
          '',
        );
        const take: Said = { kind: 'retract', retracts: target, readingFt: null, at: last };
        const undo: Said = { ...take, retracts: `e${said.length + 1}` };
        const of = (log: Said[]) => {
          const { findings, overall, checks } = assess(inspectionOf([runOf(log)]));
          return {
            overall,
            codes: checks.map(({ code }) => code),
            findings: findings.map(({ id, severity, action }) => [id, severity, action]),
          };
        };
        expect(of([...said, take, undo])).toEqual(of(said));
      }),
      { numRuns: 200 },
    );
  });
});

describe('unseen is never satisfactory', () => {
  const feet = fc.integer({ min: 0, max: 60 });
  const defects = fc.array(
    fc.tuple(
      fc.constantFrom('roots', 'gap', 'collapse', 'scale'),
      feet,
      fc.double({ min: 0, max: 1, noNaN: true }),
    ),
    { maxLength: 5 },
  );
  const rank = ({ overall }: Assessment) => OVERALLS.indexOf(overall);

  it('hiding a stretch never raises completeness or the verdict, adds an absence or removes an action', () => {
    fc.assert(
      fc.property(defects, feet, feet, (found, readingFt, toReadingFt) => {
        const said = found.map(([defect, at, extentRatio]): Said => ({
          kind: 'defect',
          defect,
          readingFt: at,
          extentRatio,
          gapIn: extentRatio,
        }));
        const seen = assessmentOf(said);
        const hidden = assessmentOf([
          ...said,
          { kind: 'unseen', cause: 'murky', readingFt, toReadingFt },
        ]);
        expect(hidden.findings.map(({ action }) => action)).toEqual(
          seen.findings.map(({ action }) => action),
        );
        expect(rank(hidden)).toBeLessThanOrEqual(rank(seen));
        if (seen.completeness === 'partial') expect(hidden.completeness).toBe('partial');
        for (const kind of hidden.absences) expect(seen.absences).toContain(kind);
      }),
    );
  });

  it('deeper water never betters the verdict', () => {
    const verdict = (fillRatio: number) =>
      rank(
        assessmentOf([
          { kind: 'defect', defect: 'standing-water', readingFt: 20, toReadingFt: 26, fillRatio },
        ]),
      );
    const ranks = Array.from({ length: 101 }, (_, percent) => verdict(percent / 100));
    ranks.slice(1).forEach((one, index) => expect(one).toBeLessThanOrEqual(ranks[index]!));
  });
});

describe('a run whose length and shape are known by hand', () => {
  // Rim zero 3 ft above the pipe; 60 ft on the counter to the main; home reads 1.2.
  const run = runOf(
    [
      { ...CLAY, diameterIn: 4 },
      { ...MAIN_AT_60 },
      { kind: 'defect', defect: 'gap', gapIn: 0.7, pass: 'back', readingFt: 33 },
      { kind: 'home', pass: 'back', readingFt: 1.2 },
    ],
    { zero: { at: 'rim', readingFt: 0, dropFt: 3 } },
  );
  const result = assess(inspectionOf([run]));

  it('places the gap: m = 1.2, T = 60 + 58.8, t = 60 + 27; 33 − 1.2·87/118.8 − 3', () => {
    expect(result.findings[0]!.span.fromFt).toBeCloseTo(29.1212, 4);
    // 0.5 + 0.5% of 29.1212 + half of 0.8788
    expect(result.findings[0]!.sigmaFt).toBeCloseTo(1.085, 3);
  });

  it('ends the line at 60 − 1.2·60/118.8 − 3', () => {
    expect(result.lateral.terminus!.stationFt).toBeCloseTo(56.3939, 4);
    expect(result.lateral.coverage.clearFt).toBeCloseTo(56.3939, 4);
  });

  it('says so in the report', () => {
    const { headline, blocks } = composeReport(result);
    expect(headline).toBe('The sewer works. No work is needed now. All 56 feet were seen.');
    expect(JSON.stringify(blocks)).toContain('The drop of 3 ft below the rim is taken off.');
    expect(SEVERITIES).toContain(result.findings[0]!.severity);
    expect(result.findings[0]).toMatchObject({ severity: 'moderate', action: 'monitor' });
  });
});
