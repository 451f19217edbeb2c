import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Run } from '../model/job/run';
import type { EntryOf } from '../model/log/entry';
import { foldLog } from '../model/log/fold';
import { entries, minute, type Said } from '../testing/build';
import { checkWater, observedAtMs } from './water';

const pool = (at: number, more: Partial<Said> = {}): Said => ({
  kind: 'defect',
  defect: 'standing-water',
  readingFt: 9,
  at: minute(at),
  ...more,
});
const water = (state: string, at: number): Said => ({ kind: 'water', state, at: minute(at) });

/** Checks the last entry of a log that began with this water. */
function checkFrom(waterAtStart: Run['waterAtStart'], ...said: Said[]) {
  const log = entries(...said);
  const run = waterAtStart === undefined ? {} : { waterAtStart };
  return checkWater(log.at(-1) as EntryOf<'defect'>, foldLog(log), run);
}
const check = (...said: Said[]) => checkFrom(undefined, ...said);

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

  it.each<[Run['waterAtStart'], ReturnType<typeof check>]>([
    [undefined, { verified: false, state: null, drainedMin: null }],
    ['unknown', { verified: false, state: null, drainedMin: null }],
    ['running', { verified: false, state: 'running', drainedMin: null }],
    ['none', { verified: true, state: 'none', drainedMin: null }],
  ])('is not known where nobody said a state; at the start: %s', (atStart, expected) => {
    expect(checkFrom(atStart, pool(10))).toEqual(expected);
    // What is said later says nothing of what was seen before.
    const later = entries(pool(10), water('running', 20));
    const run = atStart === undefined ? {} : { waterAtStart: atStart };
    expect(checkWater(later[0] as EntryOf<'defect'>, foldLog(later), run)).toEqual(expected);
  });

  it('takes a line that nobody runs water in as it stands', () => {
    const none = { verified: true, state: 'none', drainedMin: null };
    expect(checkFrom('running', water('none', 5), pool(10))).toEqual(none);
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
    fc.tuple(
      fc.constantFrom('running', 'draining', 'drained', 'none'),
      fc.integer({ min: 0, max: 40 }),
    ),
    { maxLength: 8 },
  );
  const starts = fc.constantFrom<Run['waterAtStart']>(undefined, 'unknown', 'running', 'none');
  fc.assert(
    fc.property(states, starts, fc.integer({ min: 0, max: 40 }), (said, atStart, at) => {
      const inTime = said
        .map(([state, when], index) => ({ state, when, index }))
        .sort((a, b) => a.when - b.when || a.index - b.index);
      const latest = inTime.findLast(({ when }) => when <= at);
      const state = latest?.state ?? atStart;
      const seen = said.map(([said, when]) => water(said, when));
      const { verified } = checkFrom(atStart, ...seen, pool(at));
      expect(verified).toBe(state === 'drained' || state === 'none');
    }),
  );
});
