import type { CounterPoint } from '../model/job/recording';

/**
 * Leaves out the points that a straight line between those that stay tells to within a bound
 * (Ramer 1972, Douglas and Peucker 1973; off the line is read in feet at the same moment).
 */
export function thin(points: readonly CounterPoint[], withinFt: number): CounterPoint[] {
  const keep = new Uint8Array(points.length);
  keep[0] = 1;
  keep[points.length - 1] = 1;
  const open: [number, number][] = [[0, points.length - 1]];
  for (let span = open.pop(); span; span = open.pop()) {
    const [from, to] = span;
    const [fromMs, fromFt] = points[from]!;
    const [toMs, toFt] = points[to]!;
    let worst = withinFt;
    let at = -1;
    for (let index = from + 1; index < to; index += 1) {
      const [ms, ft] = points[index]!;
      const share = toMs > fromMs ? (ms - fromMs) / (toMs - fromMs) : 0;
      const off = Math.abs(ft - (fromFt + share * (toFt - fromFt)));
      if (off > worst) {
        worst = off;
        at = index;
      }
    }
    if (at < 0) continue;
    keep[at] = 1;
    open.push([from, at], [at, to]);
  }
  return points.filter((_, index) => keep[index] === 1);
}
