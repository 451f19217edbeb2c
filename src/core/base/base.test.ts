import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, isDay, isInstant } from './day';
import { sayFault, sayGot, sayPath } from './fault';
import { clip, gapBetweenFt, type Interval, subtract, totalFt, unite } from './interval';
import { lastAtOrBelow, memoOf } from './memo';
import { roundTo, sayFt, sayIn, sayList, sayPercent } from './numbers';
import { readTable, writeTable } from './table';

const stretch: fc.Arbitrary<Interval> = fc
  .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 20 }))
  .map(([fromFt, length]) => ({ fromFt, toFt: fromFt + length }));
const stretches = fc.array(stretch, { maxLength: 8 });
const covers = (parts: readonly Interval[], at: number) =>
  parts.some(({ fromFt, toFt }) => at > fromFt && at < toFt);

describe('intervals', () => {
  it('unites touching stretches, and takes parts out of a whole', () => {
    const parts = [
      { fromFt: 10, toFt: 20 },
      { fromFt: 0, toFt: 5 },
      { fromFt: 20, toFt: 22 },
    ];
    expect(unite(parts)).toEqual([
      { fromFt: 0, toFt: 5 },
      { fromFt: 10, toFt: 22 },
    ]);
    expect(subtract([{ fromFt: 0, toFt: 30 }], parts)).toEqual([
      { fromFt: 5, toFt: 10 },
      { fromFt: 22, toFt: 30 },
    ]);
    expect(totalFt(parts)).toBe(17);
  });

  it('means what it says at every point: in the union if in any, in the difference if in one and not the other', () => {
    fc.assert(
      fc.property(stretches, stretches, (whole, parts) => {
        const united = unite(whole);
        const left = subtract(whole, parts);
        for (let at = 0.5; at < 120; at += 1) {
          expect(covers(united, at)).toBe(covers(whole, at));
          expect(covers(left, at)).toBe(covers(whole, at) && !covers(parts, at));
        }
        expect(totalFt(left)).toBeLessThanOrEqual(totalFt(whole));
        united
          .slice(1)
          .forEach((one, index) => expect(one.fromFt).toBeGreaterThan(united[index]!.toFt));
      }),
    );
  });

  it('clips, and measures the gap between', () => {
    const a = { fromFt: 10, toFt: 20 };
    expect(clip(a, { fromFt: 15, toFt: 40 })).toEqual({ fromFt: 15, toFt: 20 });
    expect(clip(a, { fromFt: 21, toFt: 40 })).toBeNull();
    expect(gapBetweenFt(a, { fromFt: 23, toFt: 40 })).toBe(3);
    expect(gapBetweenFt({ fromFt: 23, toFt: 40 }, a)).toBe(3);
    expect(gapBetweenFt(a, { fromFt: 20, toFt: 40 })).toBe(0);
  });
});

describe('numbers as people read them', () => {
  it.each<[string, string]>([
    [sayFt(43.04), '43'],
    [sayFt(43.06), '43.1'],
    [sayIn(3.333), '3.33'],
    [sayPercent(0.554), '55%'],
    [sayPercent(0.004), '0.4%'],
    [sayList(['a']), 'a'],
    [sayList(['a', 'b', 'c']), 'a, b and c'],
    [String(roundTo(-0.04, 1)), '0'],
    [String(roundTo(1.005, 2)), '1.01'],
    [String(roundTo(-2.5, 0)), '-3'],
  ])('%s', (said, expected) => {
    expect(said).toBe(expected);
  });
});

describe('days and instants', () => {
  it.each<[string, boolean]>([
    ['2026-02-28', true],
    ['2026-02-29', false],
    ['2028-02-29', true],
    ['2026-13-01', false],
    ['26-01-01', false],
  ])('%s is a day: %s', (text, expected) => {
    expect(isDay(text)).toBe(expected);
  });

  it.each<[string, boolean]>([
    ['2026-11-03T09:00:00-08:00', true],
    ['2026-11-03T09:00Z', true],
    ['2026-11-03T09:00:00.123456789+05:45', true],
    ['2026-11-03T09:00:00', false],
    ['2026-11-03T24:00:00Z', false],
    ['2026-11-31T09:00:00Z', false],
    ['2026-11-03 09:00:00Z', false],
  ])('%s is an instant: %s', (text, expected) => {
    expect(isInstant(text)).toBe(expected);
  });
});

describe('faults', () => {
  it('says path, expected, got and the next move on one line', () => {
    expect(sayPath(['runs', 0, 'entries', 3, 'readingFt'])).toBe('runs[0].entries[3].readingFt');
    expect(sayFault({ path: 'a', expected: 'b', got: 'c', next: 'd' })).toBe(
      'a: expected b, got c (d)',
    );
    expect(sayFault({ path: '', expected: 'b', got: 'c' })).toBe('file: expected b, got c');
  });

  it.each<[unknown, string]>([
    [undefined, 'nothing'],
    [null, 'null'],
    [-3, '-3'],
    ['x', '"x"'],
    [[1, 2], 'a list of 2'],
    [{}, 'an object'],
    ['y'.repeat(200), `"${'y'.repeat(76)}…"`],
  ])('shows %j as %s', (value, expected) => {
    expect(sayGot(value)).toBe(expected);
  });
});

describe('remembering and finding', () => {
  it('computes once for an object', () => {
    let count = 0;
    const of = memoOf((key: { n: number }) => {
      count += 1;
      return key.n;
    });
    const key = { n: 0 };
    expect([of(key), of(key), count]).toEqual([0, 0, 1]);
  });

  it('finds the last at or below, as a plain search does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 20 })),
        fc.integer({ min: -1, max: 21 }),
        (values, at) => {
          const sorted = [...values].sort((a, b) => a - b);
          expect(lastAtOrBelow(sorted, at, (value) => value)).toBe(
            sorted.findLastIndex((value) => value <= at),
          );
        },
      ),
    );
  });
});

describe('days', () => {
  it.each([
    ['2026-02-28', 1, '2026-03-01'],
    ['2028-02-28', 1, '2028-02-29'],
    ['2026-12-31', 1, '2027-01-01'],
    ['2026-03-01', -1, '2026-02-28'],
    // Over both changes of the clock.
    ['2026-03-01', 250, '2026-11-06'],
  ])('%s and %s days is %s', (day, count, after) => {
    expect(addDays(day, count)).toBe(after);
    expect(daysBetween(day, after)).toBe(count);
  });
});

describe('a table in text', () => {
  it('gives back the records that went in, and takes none of another shape', () => {
    const records = fc.array(
      fc.record({ id: fc.string(), at: fc.integer(), place: fc.constantFrom(null, { lat: 1 }) }),
    );
    fc.assert(
      fc.property(records, (list) => {
        expect(readTable(writeTable(list))).toEqual(list);
      }),
    );
    expect(writeTable([{ a: 1 }, { a: 2 }])).toBe('[["a"],[1],[2]]');
    expect(() => writeTable([{ a: 1 }, { b: 1 }])).toThrow('Expected the keys a, got b.');
    expect(() => writeTable([{ a: 1 }, { a: 1, b: 1 }])).toThrow('got a,b');
  });
});
