import { gapBetweenFt, type Interval } from './interval';
import { lastAtOrBelow } from './memo';

/** Two places nearer than this are one, feet. */
const HAIR_FT = 1e-9;

/** Finds what lies within so many feet of a stretch, in the order of where it begins; what touches is near. */
export type Near<T> = (stretch: Interval, withinFt?: number) => T[];

/**
 * Lays things out by where they begin, so that those near a place are found without a look at all of them.
 *
 * @param spanOf the stretch of a thing; a point has equal ends.
 * @returns what finds them; of things that begin at one place those given first come first.
 */
export function layOut<T>(things: readonly T[], spanOf: (thing: T) => Interval): Near<T> {
  const sorted = things.toSorted((a, b) => spanOf(a).fromFt - spanOf(b).fromFt);
  let farthestFt = -Infinity;
  // How far any of those before it reaches: behind it nothing can be near.
  const reachesFt = sorted.map((thing) => {
    farthestFt = Math.max(farthestFt, spanOf(thing).toFt);
    return farthestFt;
  });
  return (stretch, withinFt = 0) => {
    const near: T[] = [];
    const slackFt = withinFt + HAIR_FT;
    let at = lastAtOrBelow(sorted, stretch.toFt + slackFt, (thing) => spanOf(thing).fromFt);
    for (; at >= 0 && reachesFt[at]! >= stretch.fromFt - slackFt; at -= 1)
      if (gapBetweenFt(spanOf(sorted[at]!), stretch) <= slackFt) near.push(sorted[at]!);
    return near.reverse();
  };
}
