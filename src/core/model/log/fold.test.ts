import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { entries, minute, type Said } from '../../testing/build';
import type { Entry } from './entry';
import { foldLog } from './fold';

const note = (said: Partial<Said> = {}): Said => ({ kind: 'note', note: 'x', ...said });
const ids = (log: readonly Entry[]) => foldLog(log).standing.map(({ id }) => id);

describe('foldLog', () => {
  it.each<[string, Said[], string[]]>([
    ['keeps entries without corrections', [note(), note()], ['e1', 'e2']],
    ['lets a correction stand for what it replaces', [note(), note({ replaces: 'e1' })], ['e2']],
    [
      'follows a chain of corrections',
      [note(), note({ replaces: 'e1' }), note({ replaces: 'e2' })],
      ['e3'],
    ],
    ['takes an entry back', [note(), { kind: 'retract', retracts: 'e1' }], []],
    [
      'restores what a retracted correction had replaced',
      [note(), note({ replaces: 'e1' }), { kind: 'retract', retracts: 'e2' }],
      ['e1'],
    ],
    [
      'undoes a retraction by retracting it',
      [note(), { kind: 'retract', retracts: 'e1' }, { kind: 'retract', retracts: 'e2' }],
      ['e1'],
    ],
    [
      'keeps the first down while a correction of its correction stands',
      [
        note(),
        note({ replaces: 'e1' }),
        note({ replaces: 'e2' }),
        { kind: 'retract', retracts: 'e2' },
      ],
      ['e3'],
    ],
    [
      'lets one flag be settled by two things',
      [{ kind: 'flag' }, note({ replaces: 'e1' }), note({ replaces: 'e1' })],
      ['e2', 'e3'],
    ],
    [
      'survives a chain that bites its tail',
      [note({ replaces: 'e2' }), note({ replaces: 'e1' })],
      [],
    ],
  ])('%s', (_, said, expected) => {
    expect(ids(entries(...said))).toEqual(expected);
  });

  it('counts an entry sent twice once', () => {
    const [one] = entries(note());
    expect(ids([one!, one!])).toEqual(['e1']);
  });

  it('orders by time, whatever the order of arrival', () => {
    expect(ids(entries(note({ at: minute(9) }), note({ at: minute(3) })))).toEqual(['e2', 'e1']);
  });

  it('says why an entry does not stand, and what it has become', () => {
    const fold = foldLog(
      entries(note(), note({ replaces: 'e1' }), note(), { kind: 'retract', retracts: 'e3' }),
    );
    expect([...fold.fallen]).toEqual([
      ['e1', 'replaced'],
      ['e3', 'retracted'],
    ]);
    expect(fold.heirsOf('e1').map(({ id }) => id)).toEqual(['e2']);
    expect(fold.heirsOf('e3')).toEqual([]);
    expect(fold.rootOf('e2')).toBe('e1');
  });

  it('folds a chain of 20,000 corrections without running out of stack', () => {
    const chain = Array.from({ length: 20_000 }, (_, index) =>
      note(index === 0 ? { at: minute(0) } : { replaces: `e${index}`, at: minute(0) }),
    );
    expect(ids(entries(...chain))).toEqual(['e20000']);
  });

  it('retracting everything in any order leaves nothing; retracting the retractions restores it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.array(fc.nat(), { maxLength: 12 }),
        (count, picks) => {
          const base = Array.from({ length: count }, () => note());
          const order = [...Array(count).keys()].sort((a, b) => (picks[a] ?? 0) - (picks[b] ?? 0));
          const retracts = order.map((index): Said => ({
            kind: 'retract',
            retracts: `e${index + 1}`,
          }));
          const undo = retracts.map((_, index): Said => ({
            kind: 'retract',
            retracts: `e${count + index + 1}`,
          }));
          expect(ids(entries(...base, ...retracts))).toEqual([]);
          expect(ids(entries(...base, ...retracts, ...undo))).toEqual(ids(entries(...base)));
        },
      ),
    );
  });
});

describe('a log of 20,000 entries in one chain', () => {
  const COUNT = 20_000;
  const chain = (link: (index: number) => object): Entry[] =>
    Array.from({ length: COUNT }, (_, index) => ({
      ...({ id: `e${index}`, at: '2026-11-03T09:00:00Z', pass: 'out', readingFt: null } as const),
      ...link(index),
    })) as Entry[];
  const corrections = chain((index) => ({
    kind: 'note',
    note: `${index}`,
    ...(index > 0 ? { replaces: `e${index - 1}` } : {}),
  }));
  const retractions = chain((index) =>
    index > 0 ? { kind: 'retract', retracts: `e${index - 1}` } : { kind: 'note', note: 'first' },
  );
  /** The same log with the later half of every pair first, and so on: neither order helps. */
  const shuffled = (log: readonly Entry[]) =>
    log.toSorted(
      (a, b) => ((Number(a.id.slice(1)) * 7919) % COUNT) - ((Number(b.id.slice(1)) * 7919) % COUNT),
    );

  it.each<[string, (log: readonly Entry[]) => readonly Entry[]]>([
    ['in order', (log) => log],
    ['backwards', (log) => log.toReversed()],
    ['in no order', shuffled],
  ])('is folded %s', (_, inOrder) => {
    const corrected = foldLog(inOrder(corrections));
    expect(corrected.standing.map(({ id }) => id)).toEqual([`e${COUNT - 1}`]);
    expect(corrected.rootOf(`e${COUNT - 1}`)).toBe('e0');
    expect(corrected.heirsOf('e0').map(({ id }) => id)).toEqual([`e${COUNT - 1}`]);
    // The last retraction stands, so the one before it is taken back, and so on down to the note.
    const retracted = foldLog(inOrder(retractions));
    expect(retracted.standing).toEqual([]);
    expect(retracted.fallen.size).toBe(COUNT / 2);
  });

  it('does not hang on a chain that bites its own tail', () => {
    const loop = corrections
      .slice(0, 3)
      .map((entry, index) => ({ ...entry, replaces: `e${(index + 1) % 3}` }));
    expect(foldLog(loop as Entry[]).byId.size).toBe(3);
  });
});
