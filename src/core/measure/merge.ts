import type { Interval } from '../base/interval';
import type { Pass } from '../log/vocabulary';

/** Anything seen at a place on one pass of one run. */
export type Sighting = {
  readonly runId: string;
  readonly pass: Pass;
  readonly span: Interval;
  readonly sigmaFt: number;
  /** Only one end of the stretch is known: it may be either end of what another pass saw. */
  readonly oneEnded?: boolean;
};

/** How far apart two stretches are: the larger distance of their two ends, feet. */
export function endsApartFt(a: Interval, b: Interval): number {
  return Math.max(Math.abs(a.fromFt - b.fromFt), Math.abs(a.toFt - b.toFt));
}

/** How far apart two sightings are, feet; a stretch with one end is as near as that end is. */
function apartFt(a: Sighting, b: Sighting): number {
  if (a.oneEnded === b.oneEnded) return endsApartFt(a.span, b.span);
  const [open, whole] = a.oneEnded ? [a.span, b.span] : [b.span, a.span];
  return Math.min(Math.abs(open.fromFt - whole.fromFt), Math.abs(open.fromFt - whole.toFt));
}

/**
 * Groups sightings of one thing: one to one, in order, nearest first, never two of one pass.
 *
 * @param compatible whether two sightings can be one thing (kind, clock, what they assert).
 * @returns groups in order of station; a sighting that matches nothing is a group of one.
 */
export function mergeSightings<S extends Sighting>(
  sightings: readonly S[],
  withinFt: number,
  compatible: (a: S, b: S) => boolean,
): S[][] {
  const passKey = (sighting: S) => `${sighting.runId}\u0000${sighting.pass}`;
  const sorted = [...sightings].sort((a, b) => a.span.fromFt - b.span.fromFt);
  let groups: S[][] = [];
  const byPass = new Map<string, S[]>();
  for (const sighting of sorted) {
    const pass = byPass.get(passKey(sighting));
    if (pass) pass.push(sighting);
    else byPass.set(passKey(sighting), [sighting]);
  }
  for (const pass of byPass.values()) groups = matchInto(groups, pass, withinFt, compatible);
  return groups.sort((a, b) => a[0]!.span.fromFt - b[0]!.span.fromFt);
}

/** Matches one pass's sightings against what is grouped so far; both sides sorted by station. */
function matchInto<S extends Sighting>(
  groups: readonly S[][],
  pass: readonly S[],
  withinFt: number,
  compatible: (a: S, b: S) => boolean,
): S[][] {
  if (groups.length === 0) return pass.map((sighting) => [sighting]);
  const sorted = [...groups].sort((a, b) => a[0]!.span.fromFt - b[0]!.span.fromFt);
  const candidates: { group: number; item: number; feet: number }[] = [];
  const longestFt = sorted.reduce(
    (most, [first]) => Math.max(most, first!.span.toFt - first!.span.fromFt),
    0,
  );
  let low = 0;
  pass.forEach((sighting, item) => {
    const fromFt = sighting.span.fromFt - withinFt - longestFt;
    while (low < sorted.length && sorted[low]![0]!.span.fromFt < fromFt) low += 1;
    for (let group = low; group < sorted.length; group += 1) {
      const first = sorted[group]![0]!;
      if (first.span.fromFt > sighting.span.toFt + withinFt) break;
      const feet = apartFt(first, sighting);
      if (feet <= withinFt && sorted[group]!.every((other) => compatible(other, sighting))) {
        candidates.push({ group, item, feet });
      }
    }
  });
  candidates.sort((a, b) => a.feet - b.feet || a.item - b.item || a.group - b.group);
  const groupOf = new Map<number, number>();
  const itemOf = new Map<number, number>();
  for (const { group, item } of candidates) {
    if (groupOf.has(item) || itemOf.has(group)) continue;
    if (crosses(groupOf, group, item)) continue;
    groupOf.set(item, group);
    itemOf.set(group, item);
  }
  const merged = sorted.map((group, index) => {
    const item = itemOf.get(index);
    return item === undefined ? group : [...group, pass[item]!];
  });
  const alone = pass.flatMap((sighting, item) => (groupOf.has(item) ? [] : [[sighting]]));
  return [...merged, ...alone];
}

/** Whether a new match would cross one already made: things keep their order along the pipe. */
function crosses(groupOf: ReadonlyMap<number, number>, group: number, item: number): boolean {
  for (const [otherItem, otherGroup] of groupOf) {
    if ((otherItem - item) * (otherGroup - group) < 0) return true;
  }
  return false;
}

/** The sighting to trust for the station: both ends known, the trusted pass, then the smallest σ. */
export function mostTrusted<S extends Sighting>(group: readonly S[], trustPass: Pass): S {
  if (group.length === 1) return group[0]!;
  return [...group].sort(
    (a, b) =>
      Number(a.oneEnded ?? false) - Number(b.oneEnded ?? false) ||
      Number(b.pass === trustPass) - Number(a.pass === trustPass) ||
      a.sigmaFt - b.sigmaFt,
  )[0]!;
}
