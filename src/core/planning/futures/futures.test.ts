import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { assessmentOf } from '../../testing/build';
import { demoInspection } from '../../testing/demo-inspections';
import { defect, pool } from '../../testing/rules';
import { repairOf } from '../repair';
import { expect as expectOf, riskYears } from './expect';
import { type Future, type Risk, YEARS } from './future';
import { startPlay } from './play';
import { findSways } from './sensitivity';

const risk = (chances: (year: number) => number, more: Partial<Risk> = {}): Risk => ({
  name: 'r',
  findingIds: [],
  kind: 'clog',
  chances: Array.from({ length: YEARS }, (_, year) => chances(year)),
  startsAt: 0,
  after: 'again',
  backsUp: true,
  cost: 1000,
  clearedEvery: null,
  ...more,
});
const future = (more: Partial<Future>): Future => ({
  planId: 'p',
  now: { low: 0, likely: 0, high: 0 },
  upkeep: [],
  risks: [],
  ...more,
});

describe('what a risk does, by hand', () => {
  it('comes as often as its chance while nothing changes it', () => {
    const { events, none } = riskYears(risk(() => 0.1));
    expect(events.slice(1, 4)).toEqual([0.1, expect.closeTo(0.1), expect.closeTo(0.1)]);
    expect(none.slice(0, 3)).toEqual([1, 0.9, expect.closeTo(0.81)]);
  });
  it('counts its years anew when it comes again', () => {
    // ½ in the first year, sure in the second. Year 2: half came (½ again), half did not (sure): ¾.
    const { events, none } = riskYears(risk((year) => (year === 0 ? 0.5 : 1)));
    expect(events.slice(1, 3)).toEqual([0.5, 0.75]);
    expect(none.slice(1, 3)).toEqual([0.5, 0]);
  });
  it('is mended for good when it comes', () => {
    const { events } = riskYears(risk(() => 0.5, { after: 'never' }));
    expect(events.slice(1, 4)).toEqual([0.5, 0.25, 0.125]);
  });
  it('begins as it stands, and anew once it has come', () => {
    // Left for a year already: sure at once; then cleared: none in the first year after, sure in the second.
    const left = risk((year) => (year === 0 ? 0 : 1), { startsAt: 1 });
    expect(riskYears(left).events.slice(1, 4)).toEqual([1, 0, 1]);
  });
  it('that has failed comes at once, 9 times in 10 a year, until it has come', () => {
    const failed = risk(() => 0, { startsAt: 'failed', after: 'never' });
    const { events, none } = riskYears(failed);
    expect(events.slice(1, 3)).toEqual([0.9, expect.closeTo(0.09, 12)]);
    expect(none[2]).toBeCloseTo(0.01, 12);
    // Cleaned at the end of the first year, it does not come any more.
    expect(riskYears({ ...failed, clearedEvery: 1 }).events.slice(1, 4)).toEqual([0.9, 0, 0]);
  });
  it('begins anew when it is cleared', () => {
    const { events } = riskYears(risk((year) => (year === 0 ? 0 : 1), { clearedEvery: 1 }));
    expect(Math.max(...events)).toBe(0);
  });
});

it('adds and discounts, by hand', () => {
  const one = expectOf(
    future({
      now: { low: 100, likely: 100, high: 100 },
      upkeep: [{ says: 'u', everyYears: 2, cost: 50 }],
      risks: [risk(() => 0.1)],
    }),
    0.1,
  );
  expect(one.spent.slice(0, 3)).toEqual([100, 200, 350]);
  expect(one.present[2]).toBeCloseTo(100 + 100 / 1.1 + 150 / 1.21, 9);
  expect(one.backup[2]).toBeCloseTo(0.19, 9);
});

it('counts what a look leads to in the money and not as a backup', () => {
  const follow = risk((year) => (year === 0 ? 0.25 : 0), {
    kind: 'follow',
    after: 'never',
    backsUp: false,
    cost: 8000,
  });
  const { spent, backup } = expectOf(future({ risks: [follow] }), 0);
  expect(spent.slice(0, 3)).toEqual([0, 2000, 2000]);
  expect(backup[YEARS]).toBe(0);
});

const anyFuture = fc
  .record({
    now: fc.integer({ min: 0, max: 9000 }),
    every: fc.integer({ min: 1, max: 9 }),
    risks: fc.array(
      fc.record({
        first: fc.double({ min: 0, max: 0.2, noNaN: true }),
        growth: fc.double({ min: 1, max: 1.6, noNaN: true }),
        after: fc.constantFrom('again' as const, 'never' as const),
        clearedEvery: fc.option(fc.integer({ min: 1, max: 6 })),
        startsAt: fc.oneof(fc.constant('failed' as const), fc.integer({ min: 0, max: 9 })),
        backsUp: fc.boolean(),
        cost: fc.integer({ min: 100, max: 9000 }),
      }),
      { maxLength: 4 },
    ),
  })
  .map(({ now, every, risks }) =>
    future({
      now: { low: now * 0.8, likely: now, high: now * 1.5 },
      upkeep: [{ says: 'u', everyYears: every, cost: 300 }],
      risks: risks.map(({ first, growth, ...more }) =>
        risk((year) => Math.min(0.9, first * growth ** year), more),
      ),
    }),
  );

describe('histories played', () => {
  it('have the mean and the chance of the closed form', () => {
    fc.assert(
      fc.property(anyFuture, fc.integer({ min: 1, max: 1e6 }), (one, seed) => {
        const histories = 6000;
        const play = startPlay([one], { seed, histories });
        play.step(histories);
        const told = play.tell()[0]!;
        const { spent, backup } = expectOf(one, 0);
        for (const year of [0, 1, 10, YEARS]) {
          // Five standard errors: the spread of a history is at most some five times its greatest single cost.
          const spread = Math.max(200, (told.high[year]! - told.low[year]!) / 1.5);
          expect(Math.abs(told.mean[year]! - spent[year]!)).toBeLessThan(
            (6 * spread) / Math.sqrt(histories) + 0.02 * spent[year]! + 1,
          );
          expect(Math.abs(told.backup[year]! - backup[year]!)).toBeLessThan(
            (5 * 0.5) / Math.sqrt(histories),
          );
        }
      }),
      // A bound of so many standard errors is passed once in a while: these histories are always the same ones.
      { numRuns: 40, seed: 2026 },
    );
  });

  it('are the same for the same seed, however many are played at a time', () => {
    const { futures } = repairOf(
      assessmentOf([defect('roots', { extentRatio: 0.4 }), pool({ fillRatio: 0.5 })]),
    );
    const all = startPlay(futures, { seed: 5, histories: 900 });
    all.step(900);
    const parts = startPlay(futures, { seed: 5, histories: 900 });
    while (parts.step(137) < 1);
    expect(parts.tell()).toEqual(all.tell());
    const other = startPlay(futures, { seed: 6, histories: 900 });
    other.step(900);
    expect(other.tell()).not.toEqual(all.tell());
  });

  it('can be told before they are all played', () => {
    const play = startPlay([future({})], { seed: 1, histories: 100 });
    expect(play.step(25)).toBe(0.25);
    expect(play.tell()[0]!.mean.every((value) => value === 0)).toBe(true);
  });
});

it('names what the answer hangs on, the most first, and where the pick turns', () => {
  const repair = repairOf(assess(demoInspection('alder-bend')));
  const sways = findSways(repair);
  expect(sways.length).toBeGreaterThan(3);
  expect(sways.map(({ moves }) => moves)).toEqual(
    sways.map(({ moves }) => moves).sort((a, b) => b - a),
  );
  expect(sways.some(({ pickAtLow, pickAtHigh }) => pickAtLow !== pickAtHigh)).toBe(true);
});
