import type { Interval } from '../base/interval';
import { memoOf } from '../base/memo';
import { TOLERANCES } from '../base/tolerances';
import type { Zone } from '../catalogue/zones';
import type { Lateral } from '../lateral/lateral';
import { endsLine } from '../lateral/terminus';
import { INDOOR_ZONES } from '../lateral/zones';
import type { Inspection } from '../model/job/inspection';

/** Station of the wall where the line leaves the building: the most downstream one logged. */
export const wallFtOf = memoOf(
  (lateral: Lateral) =>
    lateral.features.findLast(({ feature, isPlaceUnsaid }) => feature === 'wall' && !isPlaceUnsaid)
      ?.stationFt ?? null,
);

/** Whether a stretch lies outside what was agreed: kept and told, out of the verdict and plans. */
export function isCourtesy(
  inspection: Inspection,
  lateral: Lateral,
  span: Interval,
  zone: Zone | null,
): boolean {
  const { terminus } = lateral;
  const isBeyond =
    terminus !== null &&
    endsLine(terminus.kind) &&
    span.fromFt > terminus.stationFt + TOLERANCES.beyondEndFt;
  if (isBeyond) return true;
  if (inspection.job.scope !== 'lateral') return false;
  const wallFt = wallFtOf(lateral);
  if (wallFt !== null && span.toFt <= wallFt + TOLERANCES.samePlaceFt) return true;
  return zone !== null && INDOOR_ZONES.includes(zone);
}
