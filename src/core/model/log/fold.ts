import { groupBy } from '../../base/group';
import { memoOf } from '../../base/memo';
import { answersInChain } from './chain';
import type { Entry, EntryOf } from './entry';

/** The log of one run after corrections and retractions have been applied. */
export type FoldedLog = {
  /** Entries that stand, by `at` and then by place in the log. */
  readonly standing: readonly Entry[];
  /** Those of one kind, in the same order. */
  readonly of: <K extends Entry['kind']>(kind: K) => readonly EntryOf<K>[];
  /** For every entry that does not stand: why. */
  readonly fallen: ReadonlyMap<string, 'replaced' | 'retracted'>;
  /** First entry of the chain that an entry belongs to; itself when it starts one. */
  readonly rootOf: (entryId: string) => string;
  /** The standing entries that an id has become, following corrections; empty when taken back. */
  readonly heirsOf: (entryId: string) => readonly Entry[];
  /** The entry with this id, standing or fallen. */
  readonly byId: ReadonlyMap<string, Entry>;
};

/**
 * Applies `replaces` and `retract` to an append-only log.
 *
 * A retract takes one entry back and restores what it had replaced; a retract of a retract undoes it.
 * An entry falls when a correction of it, however many steps on, is still alive. Two corrections of
 * one entry both stand: a flag may be settled by two things. The same id twice counts once, the first.
 * A run whose entries are the same list is folded once.
 */
export const foldLog = memoOf((entries: readonly Entry[]): FoldedLog => {
  const byId = new Map<string, Entry>();
  for (const entry of entries) if (!byId.has(entry.id)) byId.set(entry.id, entry);
  const log = [...byId.values()];

  const retractors = groupIds(log, (entry) => (entry.kind === 'retract' ? entry.retracts : null));
  const successors = groupIds(log, (entry) => entry.replaces ?? null);

  const retractorsOf = (id: string) => retractors.get(id) ?? NONE;
  const successorsOf = (id: string) => successors.get(id) ?? NONE;
  const isUntouched = (id: string) => !retractors.has(id) && !successors.has(id);
  const isAlive = answersInChain<boolean>(
    retractorsOf,
    (id, isAlso) => !retractorsOf(id).some(isAlso),
    () => false,
  );
  const isReplaced = answersInChain<boolean>(
    successorsOf,
    (id, isAlso) => successorsOf(id).some((by) => isAlive(by) || isAlso(by)),
    () => false,
  );

  const fallen = new Map<string, 'replaced' | 'retracted'>();
  const standing: Entry[] = [];
  for (const entry of log) {
    // Most entries were neither corrected nor taken back.
    if (isUntouched(entry.id)) {
      if (entry.kind !== 'retract') standing.push(entry);
    } else if (!isAlive(entry.id)) fallen.set(entry.id, 'retracted');
    else if (isReplaced(entry.id)) fallen.set(entry.id, 'replaced');
    else if (entry.kind !== 'retract') standing.push(entry);
  }
  const inTime = standing
    .map((entry) => ({ entry, atMs: Date.parse(entry.at) }))
    .sort((a, b) => a.atMs - b.atMs)
    .map(({ entry }) => entry);

  /** What an entry goes on from. Where two entries correct one, the first goes on, the other starts anew. */
  const goesOnFrom = (id: string): readonly string[] => {
    const before = byId.get(id)?.replaces;
    const goesOn = before !== undefined && byId.has(before) && successorsOf(before)[0] === id;
    return goesOn ? [before] : NONE;
  };
  const rootOf = answersInChain<string>(
    goesOnFrom,
    (id, rootOfOther) => goesOnFrom(id).map(rootOfOther)[0] ?? id,
    (id) => id,
  );
  const heirIds = answersInChain<readonly string[]>(
    (id) => (fallen.has(id) ? successorsOf(id) : NONE),
    (id, heirsOfOther) => {
      if (!byId.has(id)) return NONE;
      return fallen.has(id) ? successorsOf(id).flatMap(heirsOfOther) : [id];
    },
    () => NONE,
  );
  const byKind = groupBy(inTime, ({ kind }) => kind);
  return {
    standing: inTime,
    of: <K extends Entry['kind']>(kind: K) => (byKind.get(kind) ?? []) as EntryOf<K>[],
    fallen,
    rootOf,
    heirsOf: (id) => heirIds(id).map((heir) => byId.get(heir)!),
    byId,
  };
});

const NONE: readonly string[] = [];

function groupIds(
  log: readonly Entry[],
  target: (entry: Entry) => string | null,
): Map<string, string[]> {
  const groups = new Map<string, string[]>();
  for (const entry of log) {
    const id = target(entry);
    if (id === null) continue;
    const group = groups.get(id);
    if (group) group.push(entry.id);
    else groups.set(id, [entry.id]);
  }
  return groups;
}
