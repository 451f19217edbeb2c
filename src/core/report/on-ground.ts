import { roundTo } from '../base/numbers';
import type { Finding } from '../judge/finding';
import type { Lateral } from '../lateral/lateral';
import { locatedOn, sayMark } from '../lateral/located';

/** A mark this near to a finding shows where it lies, feet. */
const AT_MARK_FT = 3;

/** A mark this near is at it, feet. */
const HERE_FT = 1;

/** How a depth is said, to the half foot: "about 4½ ft deep". */
function sayDepth(depthIn: number | undefined): string[] {
  if (depthIn === undefined) return [];
  const halves = Math.max(1, Math.round(depthIn / 6));
  const whole = Math.floor(halves / 2);
  return [`about ${whole === 0 ? '' : whole}${halves % 2 === 1 ? '½' : ''} ft deep`];
}

/** Where a finding lies on the ground, by the nearest mark with something to find it by; `null` without one. */
export function sayOnGround({ placed, lineId, span }: Finding, lines: readonly Lateral[]) {
  const lateral = lines.find((one) => one.lineId === lineId);
  if (!placed || !lateral) return null;
  const away = (stationFt: number) => Math.max(span.fromFt - stationFt, stationFt - span.toFt, 0);
  const [nearest] = locatedOn(lateral)
    .filter(({ stationFt, entry }) => away(stationFt) <= AT_MARK_FT && sayMark(entry).length > 0)
    .toSorted((a, b) => away(a.stationFt) - away(b.stationFt));
  if (!nearest) return null;
  const { entry, stationFt } = nearest;
  const at =
    away(stationFt) <= HERE_FT ? 'On the ground' : `Nearest mark, at ${roundTo(stationFt, 0)} ft`;
  return `${at}: ${[...sayMark(entry), ...sayDepth(entry.depthIn)].join(', ')}.`;
}
