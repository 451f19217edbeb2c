import type { RunAxis } from '../measure/placement';

/** Key of a chain of corrections across runs. */
export function chainKey(runId: string, rootId: string): string {
  return `${runId}\u0000${rootId}`;
}

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
      if (entry.kind !== 'defect') continue;
      const key = chainKey(axis.run.id, axis.log.rootOf(entry.id));
      const atMs = Date.parse(entry.at);
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
