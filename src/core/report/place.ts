import { roundTo } from '../base/numbers';
import { zoneOf } from '../catalogue/zones';
import type { Finding } from '../judge/finding';
import type { LineNames } from '../lateral/line-names';
import { sayOnLine, sayStation, sayStretch } from '../lateral/say-place';
import type { UpperEnd } from '../lateral/upper-end';

/** Where a finding lies, to go in a title: "at 57 ft, under the driveway". */
export function sayPlace(finding: Finding, names: LineNames): string {
  if (finding.inRiser) return `in the riser, above the pipe${names.on(finding.lineId)}`;
  const { lineId, span, placed } = finding;
  if (!placed) {
    const feet = sayStretch(span.fromFt, span.toFt, 'its access');
    return `${feet} in run ${finding.runNames[0]}, not yet joined to the rest`;
  }
  const { fromFt, toFt } = span;
  const zone = finding.zone ? `, ${zoneOf(finding.zone).place}` : '';
  const feet = sayOnLine({ lineId, fromFt, toFt }, names);
  // Nobody said the footage: it is somewhere between what was said before and after it.
  if (finding.isPlaceUnsaid) return `somewhere within ${feet}, its footage was not said`;
  const at = roundTo(fromFt, 0) === roundTo(toFt, 0) ? 'at ' : '';
  return `${at}${feet}${zone}`;
}

/** The pipe above what was reached: "the pipe between the house and A", or and where a run up from A ended. */
export function sayPipeAbove({
  from,
  climbedFt,
}: UpperEnd & { readonly state: 'unreached' }): string {
  const to = climbedFt < 0.5 ? from : `the point ${sayStation(-climbedFt, from)}`;
  return `the pipe between the house and ${to}`;
}
