import type { Material } from '../../catalogue/materials/index';
import { materialOf } from '../../catalogue/materials/kinds';
import { wettedAngleRad, wettedAreaRatio } from '../../lateral/fill';

export const CUBIC_FEET_PER_GALLON = 0.133681;
/** A slope so flat that a fall cannot be told from none; keeps the flow finite, ft per ft. */
const LEAST_SLOPE = 0.0005;

const STEPS = 64;

/** Share of the pipe's area and of its full conveyance at each depth, 0 to 1, in 1/64 of the pipe. */
const TABLE = Array.from({ length: STEPS + 1 }, (_, index) => {
  const ratio = index / STEPS;
  const theta = wettedAngleRad(ratio);
  const area = wettedAreaRatio(ratio);
  // Hydraulic radius of a circular segment: R/D = (1 − sin θ/θ)/4; full bore has R/D = 1/4.
  const radius = theta === 0 ? 0 : 1 - Math.sin(theta) / theta;
  return { area, conveyance: area * radius ** (2 / 3) };
});
const AREAS = Float64Array.from(TABLE, ({ area }) => area);
const CONVEYANCES = Float64Array.from(TABLE, ({ conveyance }) => conveyance);

function look(table: Float64Array, ratio: number): number {
  if (ratio <= 0) return 0;
  if (ratio >= 1) return table[STEPS]!;
  const at = ratio * STEPS;
  const low = Math.floor(at);
  return table[low]! + (at - low) * (table[low + 1]! - table[low]!);
}

/** Area of the pipe that is wet at a depth, square feet. A depth over the crown wets the whole bore. */
export function wetAreaSqFt(depthFt: number, boreFt: number): number {
  return (Math.PI / 4) * boreFt * boreFt * look(AREAS, depthFt / boreFt);
}

/** Depth at which a bore holds an area of water, feet; at most the bore. */
export function depthOfAreaFt(areaSqFt: number, boreFt: number): number {
  const share = areaSqFt / ((Math.PI / 4) * boreFt * boreFt);
  if (share <= 0) return 0;
  if (share >= 1) return boreFt;
  let low = 0;
  let high = STEPS;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (AREAS[middle]! <= share) low = middle;
    else high = middle;
  }
  const step = (share - AREAS[low]!) / (AREAS[high]! - AREAS[low]!);
  return ((low + step) / STEPS) * boreFt;
}

/**
 * Flow of a part-full bore, cubic feet a second.
 *
 * Manning (1891), US units: Q = (1.486/n)·A·R^⅔·S^½.
 *
 * @param slope fall, feet per foot; below 0.0005 it is taken as 0.0005.
 */
export function flowCfs(
  depthFt: number,
  boreFt: number,
  slope: number,
  material: Material,
): number {
  const fullArea = (Math.PI / 4) * boreFt * boreFt;
  const full = (1.486 / materialOf(material).manningN) * fullArea * (boreFt / 4) ** (2 / 3);
  return full * look(CONVEYANCES, depthFt / boreFt) * Math.sqrt(Math.max(slope, LEAST_SLOPE));
}
