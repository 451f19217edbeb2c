import type { Interval } from '../base/interval';
import { memoOf } from '../base/memo';
import type { Lateral } from './lateral';

/** Depth to the pipe where nobody located it, feet, and the fall it is taken to have. */
const ASSUMED_DEPTH_FT = 2.5;
const ASSUMED_FALL_FT_PER_FT = 0.25 / 12;
/** A locate speaks for this much pipe beyond it, feet. */
const LOCATE_SPEAKS_FT = 15;

export type Located = { readonly stationFt: number; readonly depthFt: number };

/** Depths found from the surface, by station. */
export const readDepths = memoOf((lateral: Lateral): readonly Located[] =>
  lateral.axes
    .flatMap((axis) =>
      axis.log.of('locate').flatMap((entry) => {
        if (entry.depthIn === undefined) return [];
        const { from, to } = axis.placeOfEntry(entry);
        const depthIn = ((entry.depthToIn ?? entry.depthIn) + entry.depthIn) / 2;
        return [{ stationFt: (from.stationFt + to.stationFt) / 2, depthFt: depthIn / 12 }];
      }),
    )
    .sort((a, b) => a.stationFt - b.stationFt),
);

/** Depth at a station, feet: between locates along a straight line, beyond them at the usual fall. */
export function depthAtFt(located: readonly Located[], stationFt: number): number {
  const before = located.findLast((at) => at.stationFt <= stationFt);
  const after = located.find((at) => at.stationFt > stationFt);
  if (before && after) {
    const share = (stationFt - before.stationFt) / (after.stationFt - before.stationFt);
    return before.depthFt + share * (after.depthFt - before.depthFt);
  }
  const from = before ?? after ?? { stationFt: 0, depthFt: ASSUMED_DEPTH_FT };
  return Math.max(0.5, from.depthFt + (stationFt - from.stationFt) * ASSUMED_FALL_FT_PER_FT);
}

/** Whether a depth rests on a locate near it, or between two; else it is assumed. */
export function isLocated(located: readonly Located[], stationFt: number): boolean {
  const isNear = located.some((at) => Math.abs(at.stationFt - stationFt) <= LOCATE_SPEAKS_FT);
  const isBetween =
    located.some((at) => at.stationFt <= stationFt) &&
    located.some((at) => at.stationFt >= stationFt);
  return isNear || isBetween;
}

/** How deep a stretch lies, feet, and whether all of it rests on locates. Depth turns only where a locate is. */
export function depthOver(
  located: readonly Located[],
  { fromFt, toFt }: Interval,
): { readonly leastFt: number; readonly mostFt: number; readonly isLocated: boolean } {
  const turns = located.map(({ stationFt }) => stationFt).filter((at) => at > fromFt && at < toFt);
  const spots = [fromFt, ...turns, toFt];
  const depths = spots.map((at) => depthAtFt(located, at));
  return {
    leastFt: Math.min(...depths),
    mostFt: Math.max(...depths),
    isLocated: spots.every((at) => isLocated(located, at)),
  };
}
