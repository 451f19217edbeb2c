import { type Interval, lengthFt, totalFt } from '../../base/interval';
import { heldVolumeGal } from '../fill';

/** A pool as it was logged. */
export type LoggedPool = Interval & {
  readonly number: number;
  /** Depth ÷ bore; `null` when no depth was logged. */
  readonly fillRatio: number | null;
  readonly boreIn: number | null;
  readonly verified: boolean;
};

/** A pool with what it holds, US gallons; `null` when its depth or its bore is not known. */
export type HeldPool = LoggedPool & { readonly heldGal: number | null };

/** The water that stands in a line. */
export type HeldWater = {
  readonly pools: readonly HeldPool[];
  /** Feet of the reached line that hold water, and their share of it (0 to 1). */
  readonly wetFt: number;
  readonly wetRatio: number;
  /** What all pools hold that can be reckoned, US gallons. */
  readonly heldGal: number;
};

/** Counts the pools of a line and what they hold. A pool is taken as level at its logged depth. */
export function measureHeldWater(
  pools: readonly LoggedPool[],
  reached: readonly Interval[],
): HeldWater {
  const held = pools.map((pool): HeldPool => {
    const { fillRatio, boreIn } = pool;
    const isKnown = fillRatio !== null && boreIn !== null;
    return { ...pool, heldGal: isKnown ? heldVolumeGal(fillRatio, boreIn, lengthFt(pool)) : null };
  });
  const wetFt = totalFt(pools);
  const reachedFt = totalFt(reached);
  return {
    pools: held,
    wetFt,
    wetRatio: reachedFt > 0 ? Math.min(1, wetFt / reachedFt) : 0,
    heldGal: held.reduce((sum, { heldGal }) => sum + (heldGal ?? 0), 0),
  };
}
