import { roundTo } from '../../base/numbers';
import type { Range } from '../../base/range';

/** What a price is for: once for the job, each time, or for every foot. */
export type PriceUnit = 'once' | 'each' | 'foot';

type Row = readonly [likely: number, unit: PriceUnit, says: string];

/** Where Chert's own figures come from, and since when they stand. */
export const PRICE_SOURCE = 'planning assumption';
export const PRICES_AS_OF = '2026-11-28';

/** How far trades spread about a likely price: a third below it, and three fifths above. */
const LOW_RATIO = 0.65;
const HIGH_RATIO = 1.6;

/**
 * Every likely price that Chert reckons with, US dollars; low and high by the spread that trades show.
 * Chert's own planning assumptions; a price book lays an area's figures over them.
 */
const TABLE = {
  'cut.visit': [320, 'once', 'root cutting: mobilization'],
  'cut.foot': [1.5, 'foot', 'root cutting: cable run'],
  'jet.visit': [480, 'once', 'water jetting: mobilization'],
  'jet.foot': [2, 'foot', 'water jetting: hose run'],
  'flush.visit': [150, 'once', 'flushing the line by hand'],
  'treat-roots.visit': [220, 'once', 'root treatment: mobilization'],
  'treat-roots.foot': [2, 'foot', 'root treatment: foam'],
  'descale.visit': [1000, 'once', 'descaling: mobilization'],
  'descale.foot': [18, 'foot', 'descaling'],
  'ramp-lip.each': [1200, 'each', 'ramping a lip from inside'],
  'trim-tap.each': [900, 'each', 'trimming a tap by robot'],
  'patch-liner.visit': [1000, 'once', 'short liner: mobilization'],
  'patch-liner.each': [1600, 'each', 'short liner: each one'],
  'patch-liner.foot': [180, 'foot', 'short liner'],
  'liner.visit': [2200, 'once', 'liner: mobilization'],
  'liner.each': [1200, 'each', 'liner: each length'],
  'liner.foot': [95, 'foot', 'liner'],
  'liner.tee': [400, 'each', 'reopening a tee'],
  'dig.visit': [1300, 'once', 'digging: machine and crew'],
  'dig.each': [1000, 'each', 'digging: opening a pit'],
  'dig.foot': [130, 'foot', 'dig and replace'],
  'shoring.foot': [60, 'foot', 'trench protection, over 5 ft deep'],
  'shoring.engineer': [1800, 'once', 'engineer’s shoring, from 10 ft deep'],
  'replace-exposed.visit': [650, 'once', 'exposed pipe: mobilization'],
  'replace-exposed.each': [150, 'each', 'exposed pipe: each length'],
  'replace-exposed.foot': [90, 'foot', 'replacing exposed pipe'],
  'slab-break.visit': [1500, 'once', 'slab: saw and crew'],
  'slab-break.each': [2500, 'each', 'slab: each opening, closed again, with its floor finish'],
  'slab-break.foot': [300, 'foot', 'replacing under a slab'],
  'reroute.visit': [8600, 'once', 'new route: mobilization, and the first feet'],
  'reroute.foot': [200, 'foot', 'new route'],
  'burst.visit': [2600, 'once', 'pipe bursting: mobilization'],
  'burst.each': [2400, 'each', 'pipe bursting: a pit at each end'],
  'burst.foot': [100, 'foot', 'pipe bursting'],
  'cleanout.each': [2200, 'each', 'fitting a cleanout'],
  'raise-riser.each': [280, 'each', 'raising a buried riser to grade'],
  'backwater-valve.each': [2400, 'each', 'fitting a backwater valve'],
  'ejector.visit': [9000, 'once', 'pumped ejection, fitted'],
  'look-again.visit': [300, 'once', 'looking again with the camera'],
  'second-opinion.visit': [200, 'once', 'opinion of a licensed drain contractor'],
  'abatement.visit': [2500, 'once', 'asbestos abatement: mobilization'],
  'abatement.foot': [70, 'foot', 'asbestos abatement'],
  'permit.replace': [300, 'once', 'permit for work on sewer pipe'],
  'permit.right-of-way': [900, 'once', 'permit to work beyond the property line'],
  'traffic.control': [2500, 'once', 'traffic control in the street'],
  'restore.yard': [15, 'foot', 'lawn restoration'],
  'restore.patio': [75, 'foot', 'patio restoration'],
  'restore.patio.each': [700, 'each', 'patio restoration: each opening'],
  'restore.driveway': [80, 'foot', 'driveway restoration'],
  'restore.driveway.each': [1800, 'each', 'driveway restoration: each opening'],
  'restore.strip': [25, 'foot', 'parkway strip restoration'],
  'restore.walk': [95, 'foot', 'sidewalk restoration'],
  'restore.walk.each': [900, 'each', 'sidewalk restoration: each opening'],
  'restore.street': [190, 'foot', 'street restoration'],
  'restore.street.each': [4000, 'each', 'street restoration: each opening'],
} as const satisfies Record<string, Row>;

export type PriceKey = keyof typeof TABLE;
export const PRICE_KEYS = Object.keys(TABLE) as PriceKey[];

export type Price = Range & { readonly unit: PriceUnit; readonly says: string };

/** Tens from a hundred dollars on, tenths below ten: more would promise what a planning figure does not hold. */
const roundish = (value: number) =>
  value >= 100 ? Math.round(value / 10) * 10 : value >= 10 ? Math.round(value) : roundTo(value, 1);

/** Chert's own figures by key. */
export const PRICE_TABLE = Object.fromEntries(
  Object.entries(TABLE).map(([key, [likely, unit, says]]) => [
    key,
    { low: roundish(LOW_RATIO * likely), likely, high: roundish(HIGH_RATIO * likely), unit, says },
  ]),
) as Readonly<Record<PriceKey, Price>>;

/** Whether a text names a price. */
export function isPriceKey(text: string): text is PriceKey {
  return Object.hasOwn(TABLE, text);
}

/**
 * How much dearer pits and feet of open trench are the deeper they lie: at so many feet, so many times;
 * between these along a straight line, and on along the last one beyond them. The source is Chert's own planning figures.
 */
export const DEPTH_FACTORS: readonly { readonly atFt: number; readonly factor: number }[] = [
  { atFt: 5, factor: 1 },
  { atFt: 8, factor: 1.6 },
  { atFt: 11, factor: 2.6 },
  { atFt: 14, factor: 4 },
];
/** A trench deeper than this is protected, and from this on by an engineer's design, feet. */
export const SHORED_FROM_FT = 5;
export const ENGINEERED_FROM_FT = 10;

/** The factor for a trench of this depth, feet. */
export function depthFactor(depthFt: number): number {
  const [first] = DEPTH_FACTORS;
  if (depthFt <= first!.atFt) return first!.factor;
  const next = DEPTH_FACTORS.findIndex(({ atFt }) => depthFt <= atFt);
  const end = next < 0 ? DEPTH_FACTORS.length - 1 : next;
  const [a, b] = [DEPTH_FACTORS[end - 1]!, DEPTH_FACTORS[end]!];
  return a.factor + ((depthFt - a.atFt) / (b.atFt - a.atFt)) * (b.factor - a.factor);
}
