import type { Segment } from './segments';

/** A change to a smaller bore in the direction of flow. */
export type Reduction = {
  readonly before: Segment;
  readonly after: Segment;
  readonly entryIds: readonly string[];
};

/** Where a line gets smaller going downstream; stretches of no known bore are passed over. */
export function findReductions(segments: readonly Segment[]): Reduction[] {
  const sized = segments.filter(({ diameterIn }) => diameterIn !== null);
  return sized.slice(1).flatMap((after, index) => {
    const before = sized[index]!;
    if (after.diameterIn! >= before.diameterIn!) return [];
    return [{ before, after, entryIds: [...new Set([...before.entryIds, ...after.entryIds])] }];
  });
}
