import { describe, expect, it } from 'vitest';
import type { Tie } from '../../model/job/inspection';
import { foldLog } from '../../model/log/fold';
import { entries } from '../../testing/build';
import { joined, runFrom, tee, tieOf } from '../../testing/joined';
import { parseTape, withTape } from './parse-tape';
import { parseTie } from './parse-tie';
import { standingTies, tieSpots } from './tie-spots';

describe('a typed tie', () => {
  const logs = new Map([
    ['R1', foldLog(entries(tee(27.5), tee(40)))],
    ['R10', foldLog(entries(tee(9)))],
    ['R2', foldLog(entries(tee(14), { kind: 'note', note: 'x', readingFt: 30 }))],
  ]);
  it.each<[string, string[], string]>([
    ['R1 27.5 = R2 14', ['R1 e1', 'R2 e1'], ''],
    ['r1 27 and r2 14.4, kitchen tee', ['R1 e1', 'R2 e1'], 'kitchen tee'],
    ['kitchen tee: R1 at 40 ft = R2 at 14 ft', ['R1 e2', 'R2 e1'], 'kitchen tee:'],
    ['R10 9 = R1 27.5 = R2 14', ['R10 e1', 'R1 e1', 'R2 e1'], ''],
  ])('%s', (text, sightings, label) => {
    const typed = parseTie(text, logs);
    if (!typed.ok) throw new Error(typed.why);
    expect(typed.sightings.map(({ runId, entryId }) => `${runId} ${entryId}`)).toEqual(sightings);
    expect(typed.label).toBe(label);
  });
  it.each<[string, RegExp]>([
    ['', /Say a run and its footage twice/],
    ['27.5 = 14', /Say a run and its footage twice/],
    ['R1 27.5 = R2 20', /R2 has nothing logged within a foot of 20/],
    ['R1 27.5 = R2 30', /R2 has nothing logged/],
    ['R1 27.5 = R1 40', /joins two runs/],
    ['R3 1 = R4 2', /such as “R/],
  ])('%s is refused with the next move', (text, why) => {
    const typed = parseTie(text, logs);
    expect(typed.ok ? '' : typed.why).toMatch(why);
  });
});

describe('tying one thing to another', () => {
  const spot = (words: string) => ({ runId: words.split(' ')[0]!, entryId: words.split(' ')[1]! });
  const ties: Tie[] = [tieOf('T1', 'R1 1 = R2 1'), tieOf('T3', 'R1 2 = R2 2')];
  const tie = (from: string, to: string) => tieSpots(ties, spot(from), spot(to), 'tee');
  const seen = (tying: ReturnType<typeof tie>) =>
    tying.ok
      ? `${tying.tie.id} ${tying.tie.sightings.map(({ runId, entryId }) => `${runId} ${entryId}`).join(', ')}`
      : tying.why;

  it.each<[string, string, string, string | RegExp]>([
    ['two loose things: a new tie, by the first free name', 'R1 e3', 'R2 e3', 'T2 R1 e3, R2 e3'],
    ['a thing of a third run joins the tie', 'R3 e1', 'R1 e1', 'T1 R1 e1, R2 e1, R3 e1'],
    ['a tie keeps one thing of each run', 'R2 e1', 'R1 e9', 'T1 R2 e1, R1 e9'],
    ['along one run the tie moves', 'R1 e1', 'R1 e9', 'T1 R1 e9, R2 e1'],
    ['along one run it moves from either end', 'R1 e9', 'R1 e1', 'T1 R1 e9, R2 e1'],
    ['two loose things of one run are none', 'R1 e7', 'R1 e8', /Both are on one run/],
    ['what is tied already', 'R1 e1', 'R2 e1', /T1 ties these two already/],
    ['what two ties hold', 'R1 e1', 'R2 e2', /tied already, by T1 and T3/],
  ])('%s', (_, from, to, expected) => {
    expect(seen(tie(from, to))).toMatch(expected);
  });
  it('knows a tie by the entry that a correction made of it', () => {
    const { lateral } = joined({
      runs: [
        runFrom('R1', 'A', 'downstream', [tee(40)]),
        runFrom('R2', 'B', 'upstream', [tee(52), tee(25, { replaces: 'e1' })]),
      ],
      ties: [tieOf('T1', 'R1 1 = R2 1')],
    });
    const [now] = standingTies([tieOf('T1', 'R1 1 = R2 1')], lateral.join.ties);
    expect(now!.sightings[1]).toEqual({ runId: 'R2', entryId: 'e2' });
  });
});

describe('a typed tape', () => {
  const tape = (text: string) => {
    const span = parseTape(text, [{ id: 'A' }, { id: 'B2' }, { id: 'east' }]);
    return span && `${span.fromAccessPointId} ${span.toAccessPointId} ${span.alongFt}`;
  };
  it.each<[string, string | null]>([
    ['A to B2 42.5', 'A B2 42.5'],
    ['tape a b2 3.5 ft', 'A B2 3.5'],
    ['from A to east: 12 ft upstream', 'A east -12'],
    ['B2 to A -4', 'B2 A -4'],
    ['A to A 3', null],
    ['A to C 3', null],
    ['R1 27 = R2 14', null],
    ['A to B2', null],
  ])('%s', (text, expected) => expect(tape(text)).toBe(expected));
  it('takes the place of the one between the same two, whichever way', () => {
    const [a, b] = ['A to B2 4', 'B2 to A 5'].map((text) =>
      parseTape(text, [{ id: 'A' }, { id: 'B2' }])!,
    );
    expect(withTape([a!], b!)).toEqual([b]);
  });
});
