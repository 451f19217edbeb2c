import type { Interval } from '../base/interval';
import { clamp } from '../base/numbers';
import { fillRatioOf } from '../catalogue/severity/water-depth';
import type { Finding } from '../judge/finding';
import { depthAtFt, readDepths } from '../lateral/depth';
import type { Lateral } from '../lateral/lateral';
import { segmentAt } from '../lateral/segments';
import type { Frame } from './frame';

/** A pool as it is drawn: where it stands and how deep, as a share of the pipe. */
export type Pool = { readonly span: Interval; readonly fillRatio: number; readonly number: number };

/** How the pipe runs through the ground on the drawing. */
export type Profile = {
  readonly pools: readonly Pool[];
  /** Height of the pipe, drawing units: exaggerated so that what is in it can be seen. */
  readonly boreUnits: (stationFt: number) => number;
  /** The invert, belly included. */
  readonly invertY: (stationFt: number) => number;
  /** The still surface of a pool at a station: the invert as it would be without the belly. */
  readonly waterY: (stationFt: number) => number;
  readonly crownY: (stationFt: number) => number;
};

/** A pool whose depth was not logged is drawn this full. */
const UNSIZED_FILL_RATIO = 0.25;
/** A pool with one known end is drawn this long, feet. */
const OPEN_POOL_FT = 2;

/** Pools as they are drawn. */
export function readPools(findings: readonly Finding[], lineId: string): Pool[] {
  return findings
    .filter((finding) => finding.kind === 'standing-water' && finding.placed)
    .filter((finding) => finding.lineId === lineId)
    .map(({ facts, span, number }) => ({
      span:
        span.toFt - span.fromFt >= 0.5
          ? span
          : { fromFt: span.fromFt, toFt: span.fromFt + OPEN_POOL_FT },
      fillRatio: clamp(fillRatioOf(facts) ?? UNSIZED_FILL_RATIO, 0.04, 1),
      number,
    }));
}

/** Lays the pipe through the ground of a frame. */
export function layProfile(lateral: Lateral, findings: readonly Finding[], frame: Frame): Profile {
  const located = readDepths(lateral);
  const pools = readPools(findings, lateral.lineId);
  const boreUnits = (stationFt: number) => {
    const diameterIn = segmentAt(lateral.segments, stationFt)?.diameterIn ?? 4;
    return 9 + 1.9 * clamp(diameterIn, 2, 12);
  };
  const topY = frame.groundY + 40;
  const bottomY = frame.scaleY - 30;
  const ends = [frame.view.fromFt, frame.view.toFt, ...located.map(({ stationFt }) => stationFt)];
  const depths = ends.map((stationFt) => depthAtFt(located, stationFt));
  const shallow = Math.min(...depths);
  const spread = Math.max(1.5, Math.max(...depths) - shallow);
  const usable = bottomY - topY - 22;
  const plainY = (stationFt: number) =>
    topY + 20 + ((depthAtFt(located, stationFt) - shallow) / spread) * usable * 0.8;

  // Still water is level, so the invert without its belly is drawn level over each pool.
  const levelY = (stationFt: number) => {
    const pool = pools.find(({ span }) => stationFt >= span.fromFt - 2 && stationFt <= span.toFt);
    if (!pool) return plainY(stationFt);
    const endY = plainY(pool.span.toFt);
    if (stationFt >= pool.span.fromFt) return endY;
    const share = (pool.span.fromFt - stationFt) / 2;
    return endY + share * (plainY(pool.span.fromFt - 2) - endY);
  };
  const invertY = (stationFt: number) =>
    pools.reduce((y, { span, fillRatio }) => {
      if (stationFt <= span.fromFt || stationFt >= span.toFt) return y;
      const along = (stationFt - span.fromFt) / (span.toFt - span.fromFt);
      return y + fillRatio * boreUnits(stationFt) * bellyShape(along);
    }, levelY(stationFt));
  return {
    pools,
    boreUnits,
    invertY,
    waterY: levelY,
    crownY: (stationFt) => invertY(stationFt) - boreUnits(stationFt),
  };
}

/** A sag's shape: 0 at both ends, 1 over the middle part, with eased shoulders. */
function bellyShape(along: number): number {
  const ramp = clamp(Math.min(along, 1 - along) / 0.35, 0, 1);
  return ramp * ramp * (3 - 2 * ramp);
}
