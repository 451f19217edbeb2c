/** A stretch of one axis, `fromFt` ≤ `toFt`. A point has equal ends. */
export type Interval = { readonly fromFt: number; readonly toFt: number };

/** Orders two ends into an interval. */
export function interval(aFt: number, bFt: number): Interval {
  return aFt <= bFt ? { fromFt: aFt, toFt: bFt } : { fromFt: bFt, toFt: aFt };
}

/** Length of an interval in feet. */
export function lengthFt(stretch: Interval): number {
  return stretch.toFt - stretch.fromFt;
}

/** Whether a station lies in the interval, ends included. */
export function contains(stretch: Interval, stationFt: number): boolean {
  return stationFt >= stretch.fromFt && stationFt <= stretch.toFt;
}

/** Distance between two intervals in feet; 0 where they touch or overlap. */
export function gapBetweenFt(a: Interval, b: Interval): number {
  return Math.max(0, a.fromFt - b.toFt, b.fromFt - a.toFt);
}

/** How much two intervals share, feet; 0 where they only touch. */
export function overlapFt(a: Interval, b: Interval): number {
  return Math.max(0, Math.min(a.toFt, b.toFt) - Math.max(a.fromFt, b.fromFt));
}

/**
 * Whether two intervals share any of the line: some length, or a point that lies in the other. What only
 * touches at an end shares nothing, except where both are points.
 */
export function overlaps(a: Interval, b: Interval): boolean {
  if (overlapFt(a, b) > 1e-9) return true;
  const isPoint = (one: Interval) => one.toFt - one.fromFt <= 1e-9;
  return (isPoint(a) || isPoint(b)) && gapBetweenFt(a, b) <= 1e-9;
}

/** The part of `stretch` inside `within`, or `null` where they do not touch. */
export function clip(stretch: Interval, within: Interval): Interval | null {
  const fromFt = Math.max(stretch.fromFt, within.fromFt);
  const toFt = Math.min(stretch.toFt, within.toFt);
  return fromFt <= toFt ? { fromFt, toFt } : null;
}

/** Merges intervals that touch, or lie within `withinFt`; the result is sorted and disjoint. */
export function unite(stretches: readonly Interval[], withinFt = 0): Interval[] {
  const sorted = [...stretches].sort((a, b) => a.fromFt - b.fromFt);
  const united: { fromFt: number; toFt: number }[] = [];
  for (const stretch of sorted) {
    const last = united.at(-1);
    if (last && stretch.fromFt <= last.toFt + withinFt)
      last.toFt = Math.max(last.toFt, stretch.toFt);
    else united.push({ ...stretch });
  }
  return united;
}

/** What of `whole` is left when `parts` are taken out of it. */
export function subtract(whole: readonly Interval[], parts: readonly Interval[]): Interval[] {
  const cuts = unite(parts);
  return unite(whole).flatMap((stretch) => {
    const left: Interval[] = [];
    let atFt = stretch.fromFt;
    for (const cut of cuts) {
      if (cut.toFt <= atFt || cut.fromFt >= stretch.toFt) continue;
      if (cut.fromFt > atFt) left.push({ fromFt: atFt, toFt: cut.fromFt });
      atFt = Math.max(atFt, cut.toFt);
    }
    if (atFt < stretch.toFt) left.push({ fromFt: atFt, toFt: stretch.toFt });
    return left;
  });
}

/** Total length in feet of a set of intervals, overlaps counted once. */
export function totalFt(stretches: readonly Interval[]): number {
  return unite(stretches).reduce((sum, stretch) => sum + lengthFt(stretch), 0);
}
