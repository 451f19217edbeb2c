import type { Random } from '../base/random';

/** How a reel's wheel slips on the cable, as shares of the cable that passes it. */
export type Slip = {
  /** Cable pushed but not counted (positive) or counted twice (negative). */
  readonly outRatio: number;
  readonly backRatio: number;
};

/** σ of a wheel's error from reel to reel, out and back. An assumption: half a foot in a hundred. */
const SLIP_SIGMA_RATIO = 0.005;

/** Draws the slip of one run. */
export function drawSlip(random: Random, sigmaRatio = SLIP_SIGMA_RATIO): Slip {
  return { outRatio: random.normal() * sigmaRatio, backRatio: random.normal() * sigmaRatio };
}

/** What the counter turns for a length of cable, feet; positive is out. */
export function countedFt(slip: Slip, cableFt: number): number {
  return cableFt * (1 - (cableFt > 0 ? slip.outRatio : slip.backRatio));
}

/**
 * What a counter that began at `zeroFt` reads with the head back at the datum, less `zeroFt`: out and back
 * the same cable passes the wheel, and it slipped differently.
 *
 * `m = L·(e_back − e_out)`, L the cable pushed out in all.
 */
export function homecomingErrorFt(slip: Slip, pushedFt: number): number {
  return pushedFt * (slip.backRatio - slip.outRatio);
}
