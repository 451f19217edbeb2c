import { roundTo, sayFt } from '../base/numbers';
import type { Finding } from '../judge/finding';
import { ZONE_PLACES } from './words';

/** A station for the buyer: "57 ft", or "12 ft upstream of A" on the far side of the access. */
export function sayStation(stationFt: number, accessId: string): string {
  const rounded = roundTo(stationFt, 0);
  return rounded < 0 ? `${sayFt(-rounded)} ft upstream of ${accessId}` : `${sayFt(rounded)} ft`;
}

/** A stretch for the buyer: "43 to 52 ft", or a point when its ends round to one foot. */
export function sayStretch(fromFt: number, toFt: number, accessId: string): string {
  const from = roundTo(fromFt, 0);
  const to = roundTo(toFt, 0);
  if (from === to) return sayStation(from, accessId);
  if (to <= 0 && from < 0) return `${sayFt(-to)} to ${sayFt(-from)} ft upstream of ${accessId}`;
  if (from < 0) return `${sayFt(-from)} ft upstream to ${sayFt(to)} ft downstream of ${accessId}`;
  return `${sayFt(from)} to ${sayFt(to)} ft`;
}

/** Where a finding lies, to go in a title: "at 57 ft, under the driveway". */
export function sayPlace(finding: Finding, accessId: string): string {
  if (finding.inRiser) return 'in the riser, above the pipe';
  if (!finding.placed) return `in run ${finding.runNames[0]}, not yet joined to the rest`;
  const { fromFt, toFt } = finding.span;
  const at = roundTo(fromFt, 0) === roundTo(toFt, 0) ? 'at ' : '';
  const zone = finding.zone ? `, ${ZONE_PLACES[finding.zone]}` : '';
  return `${at}${sayStretch(fromFt, toFt, accessId)}${zone}`;
}
