import { lengthFt } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { Segment } from './segments';

/** A change to a smaller bore in the direction of flow. */
export type Reduction = {
  readonly before: Segment;
  readonly after: Segment;
  readonly entryIds: readonly string[];
};

/** Neighbours of one bore, whatever they are made of and whatever lies over them. */
function groupByBore(segments: readonly Segment[]): Segment[][] {
  const groups: Segment[][] = [];
  for (const segment of segments) {
    const last = groups.at(-1);
    if (last && last[0]!.diameterIn === segment.diameterIn) last.push(segment);
    else groups.push([segment]);
  }
  return groups;
}

/**
 * Where a line gets smaller going downstream. Stretches of no known bore are passed over, and so is one
 * too short to be a pipe: it is two names for one spot.
 */
export function findReductions(segments: readonly Segment[]): Reduction[] {
  const sized = groupByBore(segments.filter(({ diameterIn }) => diameterIn !== null)).filter(
    (group) => group.reduce((sum, one) => sum + lengthFt(one), 0) >= TOLERANCES.zeroLengthFt,
  );
  return sized.slice(1).flatMap((group, index) => {
    const before = sized[index]!.at(-1)!;
    const after = group[0]!;
    if (after.diameterIn! >= before.diameterIn!) return [];
    return [{ before, after, entryIds: [...new Set([...before.entryIds, ...after.entryIds])] }];
  });
}
