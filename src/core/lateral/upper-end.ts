import type { Interval } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { RunAxis } from '../measure/placement';
import { type AccessPoint } from '../model/job/access-point';
import type { Job } from '../model/job/job';
import type { Feature } from './features';
import { isIndoor, type ZonePiece } from './zones';

/**
 * What is known of the pipe above the highest place that was reached: seen to the house or the line's upper
 * end; unreached, with the feet that somebody said remain; or not known, where nobody said how the access
 * lies along the line.
 */
export type UpperEnd =
  | { readonly state: 'seen' }
  | {
      readonly state: 'unreached';
      readonly remainderFt: number | null;
      readonly from: string;
      /** Feet that were seen above `from`. */
      readonly climbedFt: number;
    }
  | { readonly state: 'unknown'; readonly from: string };

const AT_TOP_FT = 3;

/** Reads how far up a line was seen. */
export function readUpperEnd(
  axes: readonly RunAxis[],
  accessPoints: readonly AccessPoint[],
  reached: readonly Interval[],
  features: readonly Feature[],
  zones: readonly ZonePiece[],
  scope: Job['scope'],
): UpperEnd | null {
  const topFt = reached[0]?.fromFt;
  if (topFt === undefined) return null;
  const said = features.filter(({ isPlaceUnsaid }) => !isPlaceUnsaid);
  const isHouse = said.some(
    ({ feature, stationFt }) =>
      feature === 'upstream-end' ||
      (feature === 'wall' &&
        stationFt >= topFt - TOLERANCES.samePlaceFt &&
        stationFt <= topFt + AT_TOP_FT),
  );
  const wallBelow = said.some(({ feature }) => feature === 'wall');
  const isInside = isIndoor(zones[0]?.value ?? null);
  // Where the building drain was not asked for, the lateral begins at the wall.
  const isLateralSeen = scope === 'lateral' && (wallBelow || isInside);
  if (isHouse || isLateralSeen) return { state: 'seen' };
  const isAtTop = (stationFt: number) => Math.abs(stationFt - topFt) <= TOLERANCES.samePlaceFt;
  const climber = axes.find(
    (axis) => axis.direction === -1 && isAtTop(axis.placeAlong(axis.reachFt)) && axis.reachFt > 0,
  );
  if (climber) {
    const end = climber.log.of('end').at(-1);
    if (end?.reason === 'vent') return { state: 'seen' };
    const { from, reachFt: climbedFt } = climber;
    return { state: 'unreached', remainderFt: end?.remainderFt ?? null, from, climbedFt };
  }
  const opening = axes.find(({ originFt }) => isAtTop(originFt));
  const access = accessPoints.find(({ id }) => id === opening?.run.accessPointId);
  const along = access?.alongLine ?? null;
  const from = opening?.from ?? '';
  if (along === 'house-end') return { state: 'seen' };
  return along === null
    ? { state: 'unknown', from }
    : { state: 'unreached', remainderFt: null, from, climbedFt: 0 };
}
