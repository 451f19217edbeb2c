import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryOf } from '../log/entry';
import { foldLog } from '../log/fold';
import { entries, minute, type Said } from '../testing/build';
import { checkWater, observedAtMs } from './verification';

const pool = (at: number, more: Partial<Said> = {}): Said => ({
  kind: 'defect',
  defect: 'standing-water',
  readingFt: 9,
  at: minute(at),
  ...more,
});
const water = (state: string, at: number): Said => ({ kind: 'water', state, at: minute(at) });

/** Checks the last entry of a log. */
function check(...said: Said[]) {
  const log = entries(...said);
  return checkWater(log.at(-1) as EntryOf<'defect'>, foldLog(log));
}

describe('how long the water had been off', () => {
  it.each<[string, Said[], number | null]>([
    [
      'from when it was turned off',
      [water('running', 0), water('draining', 2), water('drained', 9), pool(10)],
      8,
    ],
    [
      'from the last time it ran, when nobody said that it was turned off',
      [water('running', 3), water('drained', 9), pool(10)],
      7,
    ],
    [
      'from the last of several',
      [
        water('running', 0),
        water('draining', 1),
        water('running', 4),
        water('draining', 6),
        water('drained', 9),
        pool(12),
      ],
      6,
    ],
    [
      'from a flow test',
      [
        { kind: 'flow-test', fixture: 'tub', result: 'clears', at: minute(4) },
        water('drained', 9),
        pool(10),
      ],
      6,
    ],
    ['not known, when it was never on', [water('drained', 9), pool(10)], null],
  ])('%s', (_, said, drainedMin) => {
    expect(check(...said)).toEqual({ verified: true, state: 'drained', drainedMin });
  });

  it('is not asked when no water was run', () => {
    expect(check(pool(10))).toEqual({ verified: true, state: null, drainedMin: null });
  });

  it('counts a state said at the same moment', () => {
    expect(check(water('running', 1), water('drained', 10), pool(10)).verified).toBe(true);
  });

  it('forgets a state that was taken back', () => {
    expect(
      check(
        water('running', 1),
        water('drained', 5),
        { kind: 'retract', retracts: 'e2', at: minute(6) },
        pool(10),
      ).verified,
    ).toBe(false);
  });
});

describe('when a thing was seen', () => {
  const home: Said = { kind: 'home', at: minute(30), pass: 'back' };
  it.each<[string, Said[], number]>([
    ['at its own time', [pool(10)], 10],
    [
      'at the new look, when it was looked at again before coming home',
      [pool(10), pool(25, { replaces: 'e1' }), home],
      25,
    ],
    [
      'at the first look, when it was corrected at the desk',
      [pool(10), home, pool(90, { replaces: 'e1' })],
      10,
    ],
    [
      'at the last look in the pipe, through two corrections',
      [
        pool(10),
        pool(25, { replaces: 'e1' }),
        home,
        pool(90, { replaces: 'e2' }),
        pool(95, { replaces: 'e4' }),
      ],
      25,
    ],
  ])('%s', (_, said, at) => {
    const log = entries(...said);
    const last = log.findLast(({ kind }) => kind === 'defect')!;
    expect(observedAtMs(last, foldLog(log))).toBe(Date.parse(minute(at)));
  });
});

it('agrees with the plain reading of the rule on any order of states', () => {
  const states = fc.array(
    fc.tuple(fc.constantFrom('running', 'draining', 'drained'), fc.integer({ min: 0, max: 40 })),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(states, fc.integer({ min: 0, max: 40 }), (said, at) => {
      const inTime = said
        .map(([state, when], index) => ({ state, when, index }))
        .sort((a, b) => a.when - b.when || a.index - b.index);
      const latest = inTime.findLast(({ when }) => when <= at);
      const expected = inTime.length === 0 || latest?.state === 'drained';
      expect(check(...said.map(([state, when]) => water(state, when)), pool(at)).verified).toBe(
        expected,
      );
    }),
  );
});
