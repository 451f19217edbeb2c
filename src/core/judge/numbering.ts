import type { RunAxis } from '../measure/placement';
import { hasLip } from '../measure/stretch';
import type { Entry } from '../model/log/entry';
import type { Scene } from './rules/scene';

/** Key of a chain of corrections across runs. */
export function chainKey(runId: string, rootId: string): string {
  return `${runId}\u0000${rootId}`;
}

/** When an entry was written down: what was seen on a second look was seen long before. */
const loggedMs = ({ at, secondLook }: Entry) => Date.parse(secondLook?.at ?? at);

/**
 * Numbers findings by when each was first logged, so that a later entry never renumbers an earlier
 * finding and a finding taken back leaves its number unused.
 *
 * @param groups for each finding, the chains of its sightings.
 * @returns the number of each group, in the order of `groups`.
 */
export function numberFindings(
  axes: readonly RunAxis[],
  groups: readonly (readonly string[])[],
): number[] {
  const first = new Map<string, { atMs: number; order: number }>();
  axes.forEach((axis) => {
    for (const entry of axis.log.byId.values()) {
      if (entry.kind !== 'defect' && !(entry.kind === 'material' && hasLip(entry))) continue;
      const key = chainKey(axis.run.id, axis.log.rootOf(entry.id));
      const atMs = loggedMs(entry);
      const known = first.get(key);
      if (!known || atMs < known.atMs) first.set(key, { atMs, order: known?.order ?? first.size });
    }
  });
  const groupOf = new Map(
    groups.flatMap((keys, index) => keys.map((key) => [key, index] as const)),
  );
  const numbers = groups.map(() => 0);
  let next = 1;
  const chains = [...first].sort(([, a], [, b]) => a.atMs - b.atMs || a.order - b.order);
  for (const [key] of chains) {
    const group = groupOf.get(key);
    if (group !== undefined && numbers[group]! > 0) continue;
    if (group !== undefined) numbers[group] = next;
    next += 1;
  }
  return numbers;
}

/** What rules make of the whole is numbered by itself, so that logging more never renumbers it. */
export const HUNDRED = 100;

/**
 * Numbers what rules make of the whole: from 101 on (from 201 in a log of more than a hundred findings),
 * in order of the last entry that each rests on, so that a later one takes a later number.
 */
export function numberMade(
  { laterals, findings }: Pick<Scene, 'laterals' | 'findings'>,
  made: readonly { readonly entryIds: readonly string[] }[],
): number[] {
  const logs = laterals.flatMap(({ axes, unplaced }) =>
    [...axes, ...unplaced].map(({ log }) => log),
  );
  const sinceMs = ({ entryIds }: { readonly entryIds: readonly string[] }) =>
    entryIds.reduce((latest, id) => {
      const said = logs.map((log) => log.byId.get(id)).find((entry) => entry !== undefined);
      return said ? Math.max(latest, loggedMs(said)) : latest;
    }, -Infinity);
  const highest = findings.reduce((most, { number }) => Math.max(most, number), 0);
  const firstNumber = HUNDRED * (Math.floor(highest / HUNDRED) + 1) + 1;
  const order = made.map((one, index) => ({ index, sinceMs: sinceMs(one) }));
  order.sort((a, b) => a.sinceMs - b.sinceMs || a.index - b.index);
  const numbers = made.map(() => 0);
  order.forEach(({ index }, rank) => (numbers[index] = firstNumber + rank));
  return numbers;
}

/**
 * Numbers with those that an issued report gave kept: a finding that had one keeps it, and no other ever
 * takes it. One whose own number is taken gets the next that nobody has had.
 */
export function keepIssued(
  findings: readonly { readonly id: string; readonly number: number }[],
  issued: ReadonlyMap<string, number>,
): number[] {
  if (issued.size === 0) return findings.map(({ number }) => number);
  const taken = new Set(issued.values());
  const numbers = findings.map(
    ({ id, number }) => issued.get(id) ?? (taken.has(number) ? 0 : number),
  );
  for (const number of numbers) taken.add(number);
  let next = Math.max(0, ...[...taken].filter((number) => number <= HUNDRED)) + 1;
  return numbers.map((number) => {
    if (number > 0) return number;
    while (taken.has(next)) next += 1;
    taken.add(next);
    return next;
  });
}
