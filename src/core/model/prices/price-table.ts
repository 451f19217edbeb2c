import type { Range } from '../../base/range';

/** What a price is for: once for the job, each time, or for every foot. */
export type PriceUnit = 'once' | 'each' | 'foot';

type Row = readonly [low: number, likely: number, high: number, unit: PriceUnit, says: string];

/** Where Chert's own figures come from, and since when they stand. */
export const PRICE_SOURCE = 'planning assumption';
export const PRICES_AS_OF = '2026-11-01';

/**
 * Every price that Chert reckons with: 10th percentile, likely, 90th percentile, US dollars.
 * Chert's own planning assumptions, wide on purpose; a price book lays an area's figures over them.
 */
const TABLE = {
  'cut.visit': [220, 320, 480, 'once', 'root cutting: mobilization'],
  'cut.foot': [1, 2, 3, 'foot', 'root cutting: cable run'],
  'jet.visit': [350, 480, 700, 'once', 'water jetting: mobilization'],
  'jet.foot': [1, 2, 4, 'foot', 'water jetting: hose run'],
  'treat-roots.visit': [150, 220, 350, 'once', 'root treatment: mobilization'],
  'treat-roots.foot': [1, 2, 3, 'foot', 'root treatment: foam'],
  'descale.visit': [600, 900, 1400, 'once', 'descaling: mobilization'],
  'descale.foot': [10, 18, 30, 'foot', 'descaling'],
  'ramp-lip.each': [250, 400, 700, 'each', 'ramping a lip from inside'],
  'patch-liner.visit': [700, 1000, 1500, 'once', 'short liner: mobilization'],
  'patch-liner.each': [1100, 1600, 2400, 'each', 'short liner: each one'],
  'patch-liner.foot': [120, 180, 260, 'foot', 'short liner'],
  'liner.visit': [1500, 2200, 3200, 'once', 'liner: mobilization'],
  'liner.each': [800, 1200, 1800, 'each', 'liner: each length'],
  'liner.foot': [70, 95, 140, 'foot', 'liner'],
  'liner.tee': [250, 400, 700, 'each', 'reopening a tee after lining'],
  'dig.visit': [900, 1300, 1900, 'once', 'digging: machine and crew'],
  'dig.each': [700, 1000, 1600, 'each', 'digging: opening a pit'],
  'dig.foot': [90, 130, 190, 'foot', 'dig and replace'],
  'replace-exposed.visit': [250, 400, 600, 'once', 'exposed pipe: mobilization'],
  'replace-exposed.each': [100, 150, 250, 'each', 'exposed pipe: each length'],
  'replace-exposed.foot': [60, 90, 140, 'foot', 'replacing exposed pipe'],
  'slab-break.visit': [1000, 1500, 2200, 'once', 'slab: saw and crew'],
  'slab-break.each': [900, 1300, 2000, 'each', 'slab: each opening, closed again'],
  'slab-break.foot': [220, 300, 420, 'foot', 'replacing under a slab'],
  'reroute.visit': [2000, 3000, 4600, 'once', 'new route: mobilization'],
  'reroute.foot': [140, 200, 300, 'foot', 'new route'],
  'burst.visit': [1800, 2600, 3800, 'once', 'pipe bursting: mobilization'],
  'burst.each': [1400, 2000, 3200, 'each', 'pipe bursting: a pit at each end'],
  'burst.foot': [70, 100, 150, 'foot', 'pipe bursting'],
  'cleanout.each': [600, 1000, 1800, 'each', 'fitting a cleanout'],
  'raise-riser.each': [150, 280, 500, 'each', 'raising a buried riser to grade'],
  'ejector.visit': [6000, 9000, 14000, 'once', 'pumped ejection, fitted'],
  'look-again.visit': [200, 300, 450, 'once', 'looking again with the camera'],
  'second-opinion.visit': [100, 200, 350, 'once', 'opinion of a licensed drain contractor'],
  'abatement.visit': [1500, 2500, 4500, 'once', 'asbestos abatement: mobilization'],
  'abatement.foot': [40, 70, 120, 'foot', 'asbestos abatement'],
  'permit.replace': [150, 300, 600, 'once', 'permit to replace sewer pipe'],
  'permit.right-of-way': [400, 900, 2000, 'once', 'permit to work beyond the property line'],
  'traffic.control': [500, 1000, 2200, 'once', 'traffic control in the street'],
  'restore.yard': [8, 15, 30, 'foot', 'lawn restoration'],
  'restore.patio': [45, 75, 130, 'foot', 'patio restoration'],
  'restore.driveway': [50, 80, 140, 'foot', 'driveway restoration'],
  'restore.strip': [15, 25, 45, 'foot', 'parkway strip restoration'],
  'restore.walk': [60, 95, 150, 'foot', 'sidewalk restoration'],
  'restore.street': [120, 190, 320, 'foot', 'street restoration'],
} as const satisfies Record<string, Row>;

export type PriceKey = keyof typeof TABLE;
export const PRICE_KEYS = Object.keys(TABLE) as PriceKey[];

export type Price = Range & { readonly unit: PriceUnit; readonly says: string };

/** Chert's own figures by key. */
export const PRICE_TABLE = Object.fromEntries(
  Object.entries(TABLE).map(([key, [low, likely, high, unit, says]]) => [
    key,
    { low, likely, high, unit, says },
  ]),
) as Readonly<Record<PriceKey, Price>>;

/** Whether a text names a price. */
export function isPriceKey(text: string): text is PriceKey {
  return Object.hasOwn(TABLE, text);
}

/**
 * How much dearer a foot of open trench is the deeper it lies: up to so many feet, times so much.
 * Beyond the reach of a short ladder a trench needs protection, then a larger machine.
 */
export const DEPTH_FACTORS: readonly { readonly toFt: number; readonly factor: number }[] = [
  { toFt: 4, factor: 1 },
  { toFt: 6, factor: 1.25 },
  { toFt: 8, factor: 1.6 },
  { toFt: 12, factor: 2.2 },
  { toFt: Infinity, factor: 3 },
];

/** The factor for a trench of this depth, feet. */
export function depthFactor(depthFt: number): number {
  return DEPTH_FACTORS.find(({ toFt }) => depthFt <= toFt)!.factor;
}
