import { roundTo, sayFt } from '../base/numbers';
import type { LineNames } from './line-names';

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

type OnLine = { readonly lineId: string; readonly fromFt: number; readonly toFt: number };

/**
 * A stretch with its line: "43 to 52 ft"; where there is more than one line "8 to 20 ft from B on the guest
 * house line". A footage without its line sends somebody to dig on the wrong pipe.
 */
export function sayOnLine({ lineId, fromFt, toFt }: OnLine, names: LineNames): string {
  const from = names.from(lineId);
  const feet = sayStretch(fromFt, toFt, from);
  if (names.isOne) return feet;
  return `${feet}${feet.endsWith(from) ? '' : ` from ${from}`}${names.on(lineId)}`;
}
