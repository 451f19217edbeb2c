import type { Entry } from './entry';

/** The log of one run after corrections and retractions have been applied. */
export type FoldedLog = {
  /** Entries that stand, by `at` and then by place in the log. */
  readonly standing: readonly Entry[];
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
 */
export function foldLog(entries: readonly Entry[]): FoldedLog {
  const byId = new Map<string, Entry>();
  for (const entry of entries) if (!byId.has(entry.id)) byId.set(entry.id, entry);
  const log = [...byId.values()];

  const retractors = groupIds(log, (entry) => (entry.kind === 'retract' ? entry.retracts : null));
  const successors = groupIds(log, (entry) => entry.replaces ?? null);

  // Most entries were neither corrected nor taken back: only the others walk a chain.
  const isUntouched = (id: string) => !retractors.has(id) && !successors.has(id);
  const aliveInChain = memo<boolean>((id) => !retractors.get(id)?.some(isAlive), no);
  const isAlive = (id: string): boolean => !retractors.has(id) || aliveInChain(id);
  const replacedInChain = memo<boolean>(
    (id) => successors.get(id)!.some((by) => isAlive(by) || isReplaced(by)),
    no,
  );
  const isReplaced = (id: string): boolean => successors.has(id) && replacedInChain(id);
  // Later entries first: each answer then rests on answers already known, however long a chain is.
  const touched = log.filter(({ id }) => !isUntouched(id)).reverse();
  for (const { id } of touched) isReplaced(id);

  const fallen = new Map<string, 'replaced' | 'retracted'>();
  const standing: Entry[] = [];
  for (const entry of log) {
    if (!isAlive(entry.id)) fallen.set(entry.id, 'retracted');
    else if (isReplaced(entry.id)) fallen.set(entry.id, 'replaced');
    else if (entry.kind !== 'retract') standing.push(entry);
  }
  const inTime = standing
    .map((entry) => ({ entry, atMs: Date.parse(entry.at) }))
    .sort((a, b) => a.atMs - b.atMs)
    .map(({ entry }) => entry);

  const rootInChain = memo<string>(
    (id) => rootOf(byId.get(id)!.replaces!),
    (id) => id,
  );
  const rootOf = (id: string): string => {
    const before = byId.get(id)?.replaces;
    // Where two entries correct one, the first goes on with its chain and the other starts its own.
    const goesOn = before !== undefined && byId.has(before) && successors.get(before)![0] === id;
    return goesOn ? rootInChain(id) : id;
  };
  const heirsInChain = memo<readonly string[]>(
    (id) => successors.get(id)?.flatMap(heirIds) ?? [],
    () => [],
  );
  const heirIds = (id: string): readonly string[] => {
    if (!byId.has(id)) return [];
    return fallen.has(id) ? heirsInChain(id) : [id];
  };
  for (const { id } of log) rootOf(id);
  for (const { id } of touched) heirIds(id);
  return {
    standing: inTime,
    fallen,
    rootOf,
    heirsOf: (id) => heirIds(id).map((heir) => byId.get(heir)!),
    byId,
  };
}

const no = () => false;

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

/** Remembers answers by id; a chain that bites its own tail answers `atLoop` instead of recursing. */
function memo<T>(answer: (id: string) => T, atLoop: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>();
  const asked = new Set<string>();
  return (id) => {
    if (known.has(id)) return known.get(id)!;
    if (asked.has(id)) return atLoop(id);
    asked.add(id);
    const value = answer(id);
    asked.delete(id);
    known.set(id, value);
    return value;
  };
}
