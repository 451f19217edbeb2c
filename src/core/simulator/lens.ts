import type { RigPath } from './path';

/** What the lens sees through. */
export type Lens = {
  /** Share of the picture behind dirt, 0 to 1. */
  readonly fouledRatio: number;
  /** Drops left on the glass, 0 to 1. */
  readonly dropsRatio: number;
};

export const CLEAN_LENS: Lens = { fouledRatio: 0, dropsRatio: 0 };

/** Dirt that a foot through each kind puts on the glass, for a bore that it fills. */
const FOULS_PER_FT: Readonly<Record<string, number>> = {
  grease: 1.2,
  debris: 0.8,
  'foreign-object': 0.2,
  roots: 0.25,
  scale: 0.1,
};
/** Clear water takes this share of the dirt off in a second. */
const RINSE_PER_S = 0.12;
/** Drops dry or run off: share a second. */
const DRIES_PER_S = 0.08;
/** Share of the dirt that one wash leaves. */
const WASH_LEAVES = 0.08;

/** A lens from this much dirt on shows nothing that can be sworn to. */
export const BLIND_RATIO = 0.6;

/** The lens after a move and the time it took. */
export function moveLens(
  lens: Lens,
  path: RigPath,
  fromFt: number,
  toFt: number,
  seconds: number,
  place: { readonly isUnder: boolean; readonly isMurky: boolean },
): Lens {
  const [low, high] = fromFt <= toFt ? [fromFt, toFt] : [toFt, fromFt];
  let fouled = lens.fouledRatio;
  for (const thing of path.things) {
    if (thing.kind !== 'defect') continue;
    const per = FOULS_PER_FT[thing.what.defect];
    if (per === undefined || thing.fromFt > high || thing.toFt < low) continue;
    // A thing at one spot is taken to reach half a foot.
    const throughFt = Math.min(high - low, Math.max(thing.toFt - thing.fromFt, 0.5));
    fouled += per * (thing.what.extentRatio ?? 0.1) * throughFt;
  }
  const rinsed = place.isUnder && !place.isMurky ? Math.exp(-RINSE_PER_S * seconds) : 1;
  const drops = place.isUnder ? 1 : lens.dropsRatio * Math.exp(-DRIES_PER_S * seconds);
  return { fouledRatio: Math.min(1, fouled * rinsed), dropsRatio: drops < 0.01 ? 0 : drops };
}

/** The lens after it was washed: nearly clean, and wet. */
export function washLens(lens: Lens): Lens {
  return { fouledRatio: lens.fouledRatio * WASH_LEAVES, dropsRatio: 0.6 };
}
