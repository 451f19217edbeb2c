import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../assess';
import { DEFECTS } from '../catalogue/defects/index';
import { MATERIALS } from '../catalogue/materials/index';
import { type Action, SEVERITIES, type Severity } from '../catalogue/severity/grade';
import { CLAY, inspectionOf, MAIN_AT_60, minute, runOf, type Said } from '../testing/build';
import type { Assessment } from './assessment';

const rank = (severity: Severity) => SEVERITIES.indexOf(severity);
/** From the action that asks least to the one that asks most. */
const WEIGHT: Record<Action, number> = {
  none: 0,
  monitor: 1,
  upkeep: 2,
  'look-again': 3,
  repair: 4,
  urgent: 5,
};

const feet = fc.integer({ min: 0, max: 590 }).map((tenths) => tenths / 10);
const share = fc.integer({ min: 0, max: 100 }).map((percent) => percent / 100);
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const known = (said: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined)) as Said;

const anyDefect: fc.Arbitrary<Said> = fc
  .record({
    kind: fc.constant('defect' as const),
    defect: fc.constantFrom(...DEFECTS),
    readingFt: feet,
    toReadingFt: maybe(feet),
    fillRatio: maybe(share),
    extentRatio: maybe(share),
    offsetIn: maybe(share),
    gapIn: maybe(share),
    lipIn: maybe(share),
    form: maybe(fc.constantFrom('open', 'pitted', 'invert-missing', 'step up')),
    locus: maybe(fc.constantFrom('joint', 'barrel')),
    holdsDebris: maybe(fc.boolean()),
    certainty: maybe(fc.constantFrom('confirmed', 'suspected', 'cannot-tell')),
  })
  .map(known);
const anyPipe: fc.Arbitrary<Said> = fc.record({
  kind: fc.constant('material' as const),
  side: fc.constant('far'),
  material: fc.constantFrom(...MATERIALS),
  diameterIn: fc.constantFrom(3, 4, 6, 8),
  readingFt: feet,
});
const anyThings = fc.array(fc.oneof({ weight: 4, arbitrary: anyDefect }, anyPipe), {
  maxLength: 8,
});
const profile = fc.constantFrom('maintain-first' as const, 'renew-first' as const);
const occupancy = fc.constantFrom('occupied' as const, 'vacant' as const, 'unknown' as const);

type Where = {
  profile: 'maintain-first' | 'renew-first';
  occupancy: 'occupied' | 'vacant' | 'unknown';
};
const where = fc.record({ profile, occupancy });
const judged = (said: readonly Said[], { profile: by, occupancy: lived }: Where): Assessment =>
  assess(
    inspectionOf([runOf([CLAY, ...said, MAIN_AT_60])], {
      job: { profile: by },
      property: { occupancy: lived, yearBuilt: 1950 },
    }),
  );
/** Later than all that was said before. */
const late = { at: minute(200) };

describe('a grade is never lowered', () => {
  const sized = (defect: string, key: string) => (size: number, lengthFt: number, rest: object) =>
    judged([{ kind: 'defect', defect, readingFt: 20, [key]: size, lengthFt, ...rest }], {
      profile: 'maintain-first',
      occupancy: 'occupied',
    }).findings.find(({ kind }) => kind === defect)!;
  const rest = fc.record({
    holdsDebris: fc.boolean(),
    sizeBasis: fc.constantFrom('eye', 'measured'),
  });

  it.each([
    ['more root', 'roots', 'extentRatio'],
    ['deeper water', 'standing-water', 'fillRatio'],
    ['a larger offset', 'offset', 'offsetIn'],
    ['a wider gap', 'gap', 'gapIn'],
  ])('by %s', (_, defect, key) => {
    fc.assert(
      fc.property(share, share, fc.integer({ min: 1, max: 14 }), rest, (a, b, lengthFt, more) => {
        const grade = sized(defect, key);
        const [less, most] = [Math.min(a, b), Math.max(a, b)];
        expect(rank(grade(most, lengthFt, more).severity)).toBeGreaterThanOrEqual(
          rank(grade(less, lengthFt, more).severity),
        );
      }),
      { numRuns: 150 },
    );
  });

  it('by a longer stretch', () => {
    const long = fc.integer({ min: 1, max: 30 });
    fc.assert(
      fc.property(share, long, long, rest, (fill, a, b, more) => {
        const grade = sized('standing-water', 'fillRatio');
        expect(rank(grade(fill, Math.max(a, b), more).severity)).toBeGreaterThanOrEqual(
          rank(grade(fill, Math.min(a, b), more).severity),
        );
      }),
      { numRuns: 150 },
    );
  });
});

it('what nobody could see never adds to what is whole, sound or settled', () => {
  const unseen = fc.record({
    kind: fc.constant('unseen' as const),
    cause: fc.constantFrom('submerged', 'murky', 'dirty-lens', 'too-fast', 'other'),
    readingFt: feet,
    toReadingFt: feet,
  });
  fc.assert(
    fc.property(anyThings, unseen, where, (said, hidden, on) => {
      const before = judged(said, on);
      const after = judged([...said, { ...hidden, ...late }], on);
      if (before.completeness === 'partial') expect(after.completeness).toBe('partial');
      expect(before.absences).toEqual(expect.arrayContaining([...after.absences]));
      for (const finding of before.findings) {
        const same = after.findings.find(({ id }) => id === finding.id)!;
        expect(same.severity).toBe(finding.severity);
        expect(WEIGHT[same.action]).toBeGreaterThanOrEqual(WEIGHT[finding.action]);
      }
    }),
    { numRuns: 300 },
  );
});

it('an entry that repeats what is known changes no grade, no action and no verdict', () => {
  fc.assert(
    fc.property(anyThings, fc.nat(), fc.boolean(), where, (said, pick, isBack, on) => {
      fc.pre(said.length > 0);
      const one = said[pick % said.length]!;
      // Said again where two pipes were called at one place, it is the last word of them, and news.
      const isCalledAgain =
        said.filter(({ kind, readingFt }) => kind === 'material' && readingFt === one.readingFt)
          .length > 1;
      fc.pre(one.kind !== 'material' || !isCalledAgain);
      const again = { ...one, ...late, ...(isBack ? { pass: 'back' } : {}) };
      const before = judged(said, on);
      const after = judged([...said, again], on);
      expect(after.overall).toBe(before.overall);
      expect(after.completeness).toBe(before.completeness);
      for (const { id, severity, action } of before.findings) {
        const same = after.findings.find((one) => one.id === id);
        expect(same && [same.severity, same.action]).toEqual([severity, action]);
      }
    }),
    { numRuns: 300 },
  );
});
