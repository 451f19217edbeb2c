import type { Interval } from '../../base/interval';
import { lastAtOrBelow } from '../../base/memo';

/** A stretch with one price for each foot and one set of things that must be paid once. */
export type Rate = Interval & {
  readonly perFt: number;
  /** The price of each separate stretch that begins here: a pit, a length of liner. */
  readonly opening: number;
  /** Bits of what must be paid once when this stretch is worked. */
  readonly once: number;
};

/** A price at one spot, paid by whatever works over it (a tee to reopen). */
export type Lump = { readonly atFt: number; readonly cost: number };

/** One method on one line: what a stretch of it costs, and where it cannot go. */
export type Trade = {
  /** Sorted, touching, without end on both sides. */
  readonly rates: readonly Rate[];
  readonly lumps: readonly Lump[];
  /**
   * Prices of going on past a place into deeper ground or another surface; none where a stretch begins there. Sorted;
   * each at least what an opening costs more beyond it than before it, so that nobody begins early to open cheaper.
   */
  readonly edges?: readonly Lump[];
  /** Stretches that it cannot pass; sorted. */
  readonly bars: readonly Interval[];
  /** The longest that one stretch may be, feet; absent: as long as one likes. */
  readonly longestFt?: number;
};

/** One way to deal with a target: this trade over this stretch. */
export type Option = Interval & { readonly trade: number };

/** Something that must be dealt with, in one of its ways. */
export type Target = { readonly id: string; readonly options: readonly Option[] };

/**
 * What is to be chosen: for every target one option, so that all of it is cheapest together. Stretches
 * of one trade may be joined by working the gap between them, which saves an opening; what is paid once
 * is paid once.
 *
 * For each trade, the options of later targets do not begin before those of earlier ones.
 */
export type Problem = {
  readonly trades: readonly Trade[];
  readonly targets: readonly Target[];
  /** Price of each thing that is paid once, by bit. At most 30. */
  readonly once: readonly number[];
};

/** How a target is dealt with. `joins`: in one stretch with the last of that trade. */
export type Picked = { readonly target: Target; readonly option: Option; readonly joins: boolean };
export type Choice = {
  readonly cost: number;
  readonly picks: readonly Picked[];
  /** Whether nothing is cheaper for certain; false where there was too much to try it all. */
  readonly isExact: boolean;
};

/** Sums of a trade from a fixed place on, so that any stretch is priced by two look-ups. */
export type Meter = {
  /** Price of beginning a stretch of its own here, and the most that one may cost from here on. */
  readonly opening: (fromFt: number) => number;
  readonly mostOpening: (fromFt: number) => number;
  /** Price of working from `fromFt` to `toFt`; the lump at the beginning counts when `isOpening`. */
  readonly cost: (fromFt: number, toFt: number, isOpening: boolean) => number;
  readonly onceIn: (fromFt: number, toFt: number) => number;
  readonly isBarred: (fromFt: number, toFt: number) => boolean;
};

const HAIR = 1e-9;

/** Sums of lumps up to a place, that place included. */
function sumsBelow(sorted: readonly Lump[]): (atFt: number) => number {
  const sums = [0];
  for (const { cost } of sorted) sums.push(sums.at(-1)! + cost);
  return (atFt) => sums[lastAtOrBelow(sorted, atFt, (lump) => lump.atFt) + 1]!;
}

/** Prepares a trade for pricing stretches. */
export function meterOf({ rates, lumps, bars, edges = [] }: Trade): Meter {
  const starts = rates.map(({ fromFt }) => fromFt);
  const originFt = rates.length > 1 ? rates[1]!.fromFt : 0;
  // Cost from the first edge to the start of each rate; the first rate counts backwards from it.
  const sums = rates.map(() => 0);
  for (let at = 2; at < rates.length; at += 1)
    sums[at] = sums[at - 1]! + (rates[at]!.fromFt - rates[at - 1]!.fromFt) * rates[at - 1]!.perFt;
  const dearestFrom = rates.map(({ opening }) => opening);
  for (let at = rates.length - 2; at >= 0; at -= 1)
    dearestFrom[at] = Math.max(dearestFrom[at]!, dearestFrom[at + 1]!);
  const rateAt = (atFt: number) =>
    Math.max(
      0,
      lastAtOrBelow(starts, atFt, (start) => start),
    );
  const upTo = (atFt: number) => {
    const index = rateAt(atFt);
    const rate = rates[index]!;
    return sums[index]! + (atFt - (index === 0 ? originFt : rate.fromFt)) * rate.perFt;
  };
  const sorted = lumps.toSorted((a, b) => a.atFt - b.atFt);
  const lumpsBelow = sumsBelow(sorted);
  const edgesBelow = sumsBelow(edges);
  return {
    opening: (fromFt) => rates[rateAt(fromFt)]!.opening,
    mostOpening: (fromFt) => dearestFrom[rateAt(fromFt)]!,
    cost: (fromFt, toFt, isOpening) =>
      upTo(toFt) -
      upTo(fromFt) +
      lumpsBelow(toFt + HAIR) -
      lumpsBelow(isOpening ? fromFt - HAIR : fromFt + HAIR) +
      Math.max(0, edgesBelow(toFt - HAIR) - edgesBelow(isOpening ? fromFt + HAIR : fromFt - HAIR)),
    onceIn: (fromFt, toFt) => {
      let bits = 0;
      for (let at = rateAt(fromFt); at < rates.length; at += 1) {
        const rate = rates[at]!;
        if (rate.fromFt >= toFt && rate.fromFt > fromFt) break;
        if (rate.toFt > fromFt || rate.fromFt >= fromFt) bits |= rate.once;
      }
      return bits;
    },
    isBarred: (fromFt, toFt) =>
      bars.some((bar) => bar.fromFt < toFt - HAIR && bar.toFt > fromFt + HAIR),
  };
}

/** The price of a set of bits. */
export function priceOfBits(once: readonly number[], bits: number): number {
  let sum = 0;
  for (let bit = 0; bits >> bit; bit += 1) if ((bits >> bit) & 1) sum += once[bit]!;
  return sum;
}
