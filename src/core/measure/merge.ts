import { groupBy } from '../base/group';
import { lastAtOrBelow } from '../base/memo';
import { apartFt, bondsOf, compareText, isNear, isTorn, type Sighting } from './sighting';

/**
 * Groups sightings of one thing: one to one, in order, nearest first, never two of one pass. First
 * the passes of each run, then run after run. What is tied or joined by decision is one thing
 * whatever its footage; what a decision splits never is.
 *
 * @param withinFt how far apart two passes of one run may read one thing, feet.
 * @param compatible whether two sightings can be one thing (kind, clock, what they assert).
 * @param same whether two sightings say the same: of two as near, the one that repeats is the one meant.
 * @returns groups in order of station; a sighting that matches nothing is a group of one.
 */
export function mergeSightings<S extends Sighting>(
  sightings: readonly S[],
  withinFt: number,
  compatible: (a: S, b: S) => boolean,
  same: (a: S, b: S) => boolean = () => false,
): S[][] {
  const sorted = [...sightings].sort(
    (a, b) =>
      a.span.fromFt - b.span.fromFt ||
      compareText(a.axis.run.id, b.axis.run.id) ||
      compareText(b.pass, a.pass) ||
      compareText(a.entryId, b.entryId),
  );
  const runs = groupBy(sorted, ({ axis }) => axis.run.id);
  const fits = (a: S, b: S) => compatible(a, b) && !isTorn(a, b);
  let groups: S[][] = [];
  for (const runId of [...runs.keys()].sort()) {
    let ofRun: S[][] = [];
    for (const pass of groupBy(runs.get(runId)!, (sighting) => sighting.pass).values()) {
      ofRun = matchInto(ofRun, bindAlike(pass), withinFt, fits, same);
    }
    groups = matchInto(groups, ofRun, withinFt, fits, same);
  }
  return groups.sort((a, b) => a[0]!.span.fromFt - b[0]!.span.fromFt);
}

/** Sightings of one pass that somebody said are one thing; every other alone. */
function bindAlike<S extends Sighting>(pass: readonly S[]): S[][] {
  const groups: S[][] = [];
  const groupOf = new Map<string, S[]>();
  for (const sighting of pass) {
    const bonds = bondsOf(sighting);
    const bound = bonds.map((bond) => groupOf.get(bond)).find((group) => group !== undefined);
    const group = bound ?? [];
    if (!bound) groups.push(group);
    group.push(sighting);
    for (const bond of bonds) groupOf.set(bond, group);
  }
  return groups;
}

/** Matches one pass's or one run's groups against what is grouped so far. */
function matchInto<S extends Sighting>(
  groups: readonly S[][],
  incoming: readonly S[][],
  withinFt: number,
  compatible: (a: S, b: S) => boolean,
  same: (a: S, b: S) => boolean,
): S[][] {
  if (groups.length === 0) return [...incoming];
  if (incoming.length === 0) return [...groups];
  const byStation = (a: S[], b: S[]) => a[0]!.span.fromFt - b[0]!.span.fromFt;
  const sorted = [...groups].sort(byStation);
  const items = [...incoming].sort(byStation);
  const matches = createMatching();
  bindAcross(sorted, items, matches);
  const most = (list: readonly S[][], of: (one: S) => number) =>
    list.reduce((top, [first]) => Math.max(top, of(first!)), 0);
  const longestFt = most(sorted, ({ span }) => span.toFt - span.fromFt);
  const acrossRuns = items[0]![0]!.axis !== sorted[0]![0]!.axis || isMixed(sorted);
  const reachFt = acrossRuns
    ? Math.max(
        withinFt,
        3 * (most(sorted, (one) => one.sigmaFt) + most(items, (one) => one.sigmaFt)),
      )
    : withinFt;
  const open = sorted.flatMap(([first], group) => (first!.oneEnded ? [group] : []));
  const isAnyOpen = open.length > 0 || items.some(([first]) => first!.oneEnded);
  const candidates: { readonly group: number; readonly feet: number; readonly item: number }[] = [];
  for (const [index, item] of items.entries()) {
    if (matches.hasItem(index)) continue;
    const isOne = (group: number, feet: number) => {
      if (matches.hasGroup(group)) return false;
      const all = sorted[group]!;
      return (
        item.every((a) => all.every((b) => compatible(b, a))) &&
        isNear(all[0]!, item[0]!, feet, withinFt)
      );
    };
    // A single end may be either end of a stretch: such pairs are found whatever lies between.
    const openFt = item[0]!.oneEnded ? longestFt : 0;
    const atMost = isAnyOpen ? Infinity : NEAREST;
    const near = nearestOf(sorted, item[0]!, reachFt, openFt, atMost, isOne);
    for (const one of near) candidates.push({ ...one, item: index });
    if (openFt > 0) continue;
    for (const group of open) {
      const feet = apartFt(sorted[group]![0]!, item[0]!);
      const isFound = near.some((one) => one.group === group);
      if (feet <= reachFt && !isFound && isOne(group, feet))
        candidates.push({ group, feet, item: index });
    }
  }
  const other = ({ group, item }: (typeof candidates)[number]) =>
    same(sorted[group]![0]!, items[item]![0]!) ? 0 : 1;
  candidates.sort(
    (a, b) => a.feet - b.feet || other(a) - other(b) || a.item - b.item || a.group - b.group,
  );
  for (const { group, item } of candidates) matches.offer(group, item);
  const merged = sorted.map((group, index) => {
    const item = matches.itemOf(index);
    return item === undefined ? group : [...group, ...items[item]!];
  });
  return [...merged, ...items.filter((_, item) => !matches.hasItem(item))];
}

/** Of things this many alike about one place the nearest are weighed against one another, no more. */
const NEAREST = 8;

/**
 * The nearest groups that an item may be one with, looking outward from its place.
 *
 * @param reachFt how far apart two sightings of one thing can lie at most.
 * @param openFt how much farther a stretch may begin, when a single end is matched to either of its own.
 * @param atMost how many are looked for.
 */
function nearestOf<S extends Sighting>(
  sorted: readonly S[][],
  sighting: S,
  reachFt: number,
  openFt: number,
  atMost: number,
  isOne: (group: number, feet: number) => boolean,
): { readonly group: number; readonly feet: number }[] {
  const { fromFt } = sighting.span;
  const found: { group: number; feet: number }[] = [];
  let left = lastAtOrBelow(sorted, fromFt, ([first]) => first!.span.fromFt);
  let right = left + 1;
  while (found.length < atMost) {
    const leftFt = left < 0 ? Infinity : fromFt - sorted[left]![0]!.span.fromFt;
    const rightFt = right >= sorted.length ? Infinity : sorted[right]![0]!.span.fromFt - fromFt;
    if (Math.min(leftFt, rightFt) > reachFt + openFt) break;
    const group = leftFt <= rightFt ? left-- : right++;
    const feet = apartFt(sorted[group]![0]!, sighting);
    if (feet <= reachFt && isOne(group, feet)) found.push({ group, feet });
  }
  return found;
}

function isMixed(groups: readonly (readonly Sighting[])[]): boolean {
  const [first] = groups[0]!;
  return groups.some((group) => group.some(({ axis }) => axis !== first!.axis));
}

/** Matches what is bound, before anything is matched by its footage. */
function bindAcross<S extends Sighting>(
  groups: readonly S[][],
  items: readonly S[][],
  matches: Matching,
): void {
  const groupOf = new Map<string, number>();
  groups.forEach((group, index) => {
    for (const bond of group.flatMap(bondsOf)) groupOf.set(bond, index);
  });
  if (groupOf.size === 0) return;
  items.forEach((item, index) => {
    const group = item
      .flatMap(bondsOf)
      .map((bond) => groupOf.get(bond))
      .find((at) => at !== undefined && !matches.hasGroup(at));
    if (group !== undefined) matches.bind(group, index);
  });
}

type Matching = ReturnType<typeof createMatching>;

/** A one-to-one matching; what is offered may not cross what is matched: things keep their order. */
function createMatching() {
  const groupOf = new Map<number, number>();
  const itemOf = new Map<number, number>();
  const inOrder: { item: number; group: number }[] = [];
  const bind = (group: number, item: number) => {
    groupOf.set(item, group);
    itemOf.set(group, item);
  };
  return {
    hasItem: (item: number) => groupOf.has(item),
    hasGroup: (group: number) => itemOf.has(group),
    itemOf: (group: number) => itemOf.get(group),
    bind,
    offer: (group: number, item: number) => {
      if (groupOf.has(item) || itemOf.has(group)) return;
      const before = lastAtOrBelow(inOrder, item, (one) => one.item);
      if (before >= 0 && inOrder[before]!.group > group) return;
      if (before + 1 < inOrder.length && inOrder[before + 1]!.group < group) return;
      inOrder.splice(before + 1, 0, { item, group });
      bind(group, item);
    },
  };
}
