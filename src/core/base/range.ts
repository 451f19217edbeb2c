/** A planning figure: the 10th percentile, the likely value and the 90th percentile. US dollars. */
export type Range = { readonly low: number; readonly likely: number; readonly high: number };

export const ZERO: Range = { low: 0, likely: 0, high: 0 };

/** How strongly prices of works in one plan move together: the same market, partly the same crew. */
export const PRICE_CORRELATION = 0.5;

/** A range times a quantity. */
export function scaleRange({ low, likely, high }: Range, by: number): Range {
  return { low: low * by, likely: likely * by, high: high * by };
}

/** Prices that move as one: the parts of a single work, bought from one contractor in one bid. */
export function addRanges(ranges: readonly Range[]): Range {
  return ranges.reduce(
    (sum, one) => ({
      low: sum.low + one.low,
      likely: sum.likely + one.likely,
      high: sum.high + one.high,
    }),
    ZERO,
  );
}

/** Deviation of a sum whose parts deviate by these and correlate pairwise by `correlation`. */
function deviationOf(parts: readonly number[], correlation: number): number {
  const sum = parts.reduce((all, part) => all + part, 0);
  const squares = parts.reduce((all, part) => all + part * part, 0);
  return Math.sqrt((1 - correlation) * squares + correlation * sum * sum);
}

/**
 * The 10th to 90th percentile of a sum of correlated prices: likely values add, and the deviations on
 * each side of them add as σ of correlated parts do, `√((1 − ρ)Σd² + ρ(Σd)²)`.
 */
export function totalRange(parts: readonly Range[], correlation = PRICE_CORRELATION): Range {
  const likely = parts.reduce((sum, part) => sum + part.likely, 0);
  const down = deviationOf(
    parts.map((part) => part.likely - part.low),
    correlation,
  );
  const up = deviationOf(
    parts.map((part) => part.high - part.likely),
    correlation,
  );
  return { low: Math.max(0, likely - down), likely, high: likely + up };
}

/** Whole dollars, as they leave the core. */
export function wholeDollars({ low, likely, high }: Range): Range {
  return { low: Math.round(low), likely: Math.round(likely), high: Math.round(high) };
}

/** Mean of |z| over one half of a normal distribution, in units of its 90th percentile. */
const HALF_MEAN = Math.sqrt(1 / (2 * Math.PI)) / 1.2815515655446004;

/**
 * Mean of a price that is normal on each side of its likely value, with its own σ there (a two-piece
 * normal taken by halves: `likely + (up − down) · φ(0)/z₉₀`).
 */
export function meanOf({ low, likely, high }: Range): number {
  return likely + (high - likely - (likely - low)) * HALF_MEAN;
}

/** The price that a standard normal number draws from a range; never below 0. */
export function drawFrom({ low, likely, high }: Range, normal: number): number {
  const side = normal < 0 ? likely - low : high - likely;
  return Math.max(0, likely + (normal / 1.2815515655446004) * side);
}
