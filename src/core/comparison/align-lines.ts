import { lengthFt } from '../base/interval';
import type { Lateral } from '../lateral/lateral';
import { endsLine } from '../lateral/terminus';

/** How far the later look's stations are ahead of the earlier one's, and what that rests on. */
export type Alignment = {
  readonly offsetFt: number;
  /** How far single things disagree with it, feet. */
  readonly spreadFt: number;
  /** Things that both looks saw; 0: the footages are taken as they are. */
  readonly count: number;
};

/** What stays where it is when pipe is mended. */
const LASTING: readonly string[] = [
  'property-line',
  'wall',
  'main-tap',
  'property-line-cleanout',
  'join',
  'tank',
];

/** Stations of lasting things, by kind and place among their kind; the end of the line among them. */
function landmarksOf({ features, terminus, reached }: Lateral): Map<string, number> {
  const marks = new Map<string, number>();
  const counts = new Map<string, number>();
  for (const { feature, stationFt } of features) {
    if (!LASTING.includes(feature)) continue;
    const count = counts.get(feature) ?? 0;
    counts.set(feature, count + 1);
    marks.set(`${feature} ${count}`, stationFt);
  }
  if (terminus && endsLine(terminus.kind) && reached.some((one) => lengthFt(one) > 0))
    marks.set('end', terminus.stationFt);
  return marks;
}

const median = (sorted: readonly number[]) => {
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
};

/** Lays a later look over an earlier one by what both saw and what does not move; the median of all. */
export function alignLines(before: Lateral, after: Lateral): Alignment {
  const was = landmarksOf(before);
  const offsets = [...landmarksOf(after)]
    .flatMap(([name, stationFt]) => (was.has(name) ? [stationFt - was.get(name)!] : []))
    .sort((a, b) => a - b);
  if (offsets.length === 0) return { offsetFt: 0, spreadFt: 0, count: 0 };
  const offsetFt = median(offsets);
  const spread = offsets.map((one) => Math.abs(one - offsetFt)).sort((a, b) => a - b);
  return { offsetFt, spreadFt: median(spread), count: offsets.length };
}
