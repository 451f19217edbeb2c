import { type Random, seededRandom } from '../base/random';
import type { Option, Problem, Rate, Target, Trade } from '../planning/choose/problem';

const LINE_FT = 100;

/** What three trades and one that only some findings take cost once: two share a permit. */
const ONCE = [900, 350, 600, 250, 1200];

function ratesOf(random: Random, opening: number, bits: number, streetBit: number): Rate[] {
  const cuts = [20, 45, 70].map((at) => at + Math.round(random.between(-8, 8)));
  const edges = [-Infinity, ...cuts, Infinity];
  return edges.slice(1).map((toFt, index) => ({
    fromFt: edges[index]!,
    toFt,
    perFt: Math.round(random.between(20, 220)),
    opening: Math.round(opening * random.between(0.6, 1.8)),
    once: index === 3 ? bits | streetBit : bits,
  }));
}

/** Rates whose openings differ, and what going on into a dearer one costs: at least the difference. */
function steppedRates(random: Random, ...more: [number, number, number]) {
  const rates = ratesOf(random, ...more);
  const edges = rates.slice(1).map(({ fromFt, opening }, index) => ({
    atFt: fromFt,
    cost: Math.max(0, opening - rates[index]!.opening) * Math.round(random.between(1, 2)),
  }));
  return { rates, edges };
}

/**
 * A random problem of choosing on a line of 100 ft: shared set-ups, a permit for the last stretch, tees,
 * bars, points and stretches that overlap. The same seed gives the same problem.
 */
export const randomProblem = (seed: number, count: number): Problem =>
  problemOver(seed, count, Math.max(LINE_FT, count * 8));

/** The same with targets as close as this on average, feet. */
export const denseProblem = (seed: number, count: number, feetApart: number): Problem =>
  problemOver(seed, count, count * feetApart);

function problemOver(seed: number, count: number, lineFt: number): Problem {
  const random = seededRandom(seed);
  const whole = (low: number, high: number) => Math.round(random.between(low, high));
  const trades: Trade[] = [0b00001, 0b00110, 0b01010, 0b00010].map((bits, index) => ({
    ...steppedRates(random, index === 3 ? 0 : whole(100, 2200), bits, index < 2 ? 0b10000 : 0),
    lumps: index === 1 ? [15, 40, 41, 80].map((atFt) => ({ atFt, cost: whole(100, 500) })) : [],
    bars: random.next() < 0.5 ? [{ fromFt: 50, toFt: 52 }] : [],
  }));
  trades[2] = { ...trades[2]!, longestFt: 9 };
  const stations = Array.from({ length: count }, () => whole(0, lineFt)).sort((a, b) => a - b);
  const targets = stations.map((fromFt, index): Target => {
    const lengthFt = random.next() < 0.6 ? 0 : whole(1, 18);
    const options = trades.flatMap((trade, at): Option[] => {
      const beyondFt = at === 3 ? 0 : 2;
      const option = { trade: at, fromFt: fromFt - beyondFt, toFt: fromFt + lengthFt + beyondFt };
      const isBarred = trade.bars.some(
        (bar) => bar.fromFt < option.toFt && bar.toFt > option.fromFt,
      );
      // The first trade does everything, so that no target is without a way.
      const isTooLong = option.toFt - option.fromFt > (trade.longestFt ?? Infinity);
      return at === 0 || (!isBarred && !isTooLong && random.next() < 0.55) ? [option] : [];
    });
    return { id: `t${index}`, options };
  });
  return { trades: [{ ...trades[0]!, bars: [] }, ...trades.slice(1)], targets, once: ONCE };
}

/** Price of one stretch of a trade, added up rate by rate: the slow and plain way. */
function priceStretch(trade: Trade, fromFt: number, toFt: number): number {
  const feet = trade.rates.reduce(
    (sum, rate) =>
      sum + Math.max(0, Math.min(rate.toFt, toFt) - Math.max(rate.fromFt, fromFt)) * rate.perFt,
    0,
  );
  const lumps = trade.lumps.filter(({ atFt }) => atFt >= fromFt && atFt <= toFt);
  const edges = (trade.edges ?? []).filter(({ atFt }) => atFt > fromFt && atFt < toFt);
  return [...lumps, ...edges].reduce((sum, { cost }) => sum + cost, feet);
}

const bitsOf = (trade: Trade, fromFt: number, toFt: number) =>
  trade.rates.reduce(
    (bits, rate) =>
      (rate.fromFt < toFt || rate.fromFt === fromFt) && rate.toFt > fromFt
        ? bits | rate.once
        : bits,
    0,
  );

const openingAt = ({ rates }: Trade, atFt: number) =>
  rates.findLast(({ fromFt }) => fromFt <= atFt)!.opening;

type Priced = { readonly cost: number; readonly bits: number };

/** Every way to lay stretches of a trade over the parts given: each gap worked, or left. */
function waysToLay(trade: Trade, parts: readonly Option[]): Priced[] {
  const sorted = parts.toSorted((a, b) => a.fromFt - b.fromFt);
  const ways: Priced[] = [];
  for (let mask = 0; mask < 1 << (sorted.length - 1); mask += 1) {
    const stretches: { fromFt: number; toFt: number }[] = [{ ...sorted[0]! }];
    let isPossible = true;
    for (const [index, part] of sorted.slice(1).entries()) {
      const last = stretches.at(-1)!;
      const isJoined = ((mask >> index) & 1) === 1;
      const isLimited = trade.longestFt !== undefined;
      if ((!isLimited && part.fromFt <= last.toFt) || isJoined) {
        const isBarred = trade.bars.some((bar) => bar.fromFt < part.fromFt && bar.toFt > last.toFt);
        if (part.fromFt > last.toFt && isBarred) isPossible = false;
        last.toFt = Math.max(last.toFt, part.toFt);
        if (last.toFt - last.fromFt > (trade.longestFt ?? Infinity)) isPossible = false;
      } else stretches.push({ ...part });
    }
    if (!isPossible) continue;
    ways.push({
      cost: stretches.reduce(
        (sum, { fromFt, toFt }) =>
          sum + openingAt(trade, fromFt) + priceStretch(trade, fromFt, toFt),
        0,
      ),
      bits: stretches.reduce((bits, { fromFt, toFt }) => bits | bitsOf(trade, fromFt, toFt), 0),
    });
  }
  return ways;
}

/** The least price of a problem by trying everything; for a handful of targets. */
export function leastByTrying({ trades, targets, once }: Problem): number {
  const paid = (bits: number) =>
    once.reduce((sum, price, bit) => ((bits >> bit) & 1 ? sum + price : sum), 0);
  const known = new Map<string, Priced[]>();
  let least = Infinity;
  const finish = (picked: readonly Option[]) => {
    const perTrade = trades.map((trade, index) => {
      const key = picked.map((option) => (option.trade === index ? 1 : 0)).join('') + String(index);
      const found = known.get(key);
      if (found) return found;
      const parts = picked.filter((option) => option.trade === index);
      const ways = parts.length === 0 ? [{ cost: 0, bits: 0 }] : waysToLay(trade, parts);
      known.set(key, ways);
      return ways;
    });
    const combine = (index: number, cost: number, bits: number): void => {
      if (index === perTrade.length) {
        least = Math.min(least, cost + paid(bits));
        return;
      }
      for (const way of perTrade[index]!) combine(index + 1, cost + way.cost, bits | way.bits);
    };
    combine(0, 0, 0);
  };
  const assign = (index: number, picked: readonly Option[]): void => {
    if (index === targets.length) {
      finish(picked);
      return;
    }
    for (const option of targets[index]!.options) assign(index + 1, [...picked, option]);
  };
  assign(0, []);
  return least;
}
