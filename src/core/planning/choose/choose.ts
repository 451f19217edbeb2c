import {
  type Choice,
  type Meter,
  meterOf,
  type Option,
  type Picked,
  priceOfBits,
  type Problem,
} from './problem';

/**
 * The most states that are carried from one target to the next. Ordinary lines need a few dozen; some forty
 * roots that may each be cut, patched, lined or dug would need millions. Past it the cheapest are carried
 * on, and the choice says that it is not proved the cheapest.
 */
const MOST_STATES = 150;

/** Sums of money that differ by less are the same sum. */
const HAIR_USD = 1e-9;

/** Where things stand after some targets: what was paid, and where the last stretch of each trade ends. */
type State = {
  readonly cost: number;
  readonly paid: number;
  /** End of the last stretch of each trade; −∞ when no later one could gain by joining it. */
  readonly ends: readonly number[];
  /** Where the last stretch of each trade begins: only those of limited length ask. */
  readonly starts: readonly number[];
  readonly before: State | null;
  readonly pick: Picked | null;
};

/** What lies ahead of a target: what may still be paid for, and where each trade may begin next. */
type Ahead = { readonly bits: number; readonly startFt: readonly number[] };

function lookAhead({ targets, trades }: Problem): Ahead[] {
  // A gap that is worked to join two stretches may need anything that its trade ever needs.
  const bitsOf = trades.map(({ rates }) => rates.reduce((bits, { once }) => bits | once, 0));
  const ahead: Ahead[] = [{ bits: 0, startFt: trades.map(() => Infinity) }];
  for (const { options } of targets.toReversed()) {
    const last = ahead.at(-1)!;
    const startFt = [...last.startFt];
    let { bits } = last;
    for (const { trade, fromFt } of options) {
      startFt[trade] = Math.min(startFt[trade]!, fromFt);
      bits |= bitsOf[trade]!;
    }
    ahead.push({ bits, startFt });
  }
  return ahead.reverse();
}

/**
 * Chooses the cheapest way to deal with every target.
 *
 * Dynamic programming over targets in the order of their stations. A state is what has been paid once
 * and where the last stretch of each trade ends. Two things keep states few and the answer exact: an end
 * that no later stretch could gain by joining is forgotten, and a state goes when another, after buying
 * all that it lacks, is still no dearer. The work is bounded by `MOST_STATES`.
 *
 * @returns `null` when some target has no option.
 */
export function choose(problem: Problem): Choice | null {
  const { trades, targets } = problem;
  const meters = trades.map(meterOf);
  const ahead = lookAhead(problem);
  const none = trades.map(() => -Infinity);
  let isExact = true;
  let states: State[] = [{ cost: 0, paid: 0, ends: none, starts: none, before: null, pick: null }];
  for (const [index, target] of targets.entries()) {
    const next = ahead[index + 1]!;
    const reached = states.flatMap((state) =>
      target.options.flatMap((option) =>
        stepsFor(problem, meters[option.trade]!, state, option).map((step): State => {
          const { cost, paid, joins } = step;
          const place = placeAfter(state, option.trade, step, next, problem, meters);
          return { cost, paid, ...place, before: state, pick: { target, option, joins } };
        }),
      ),
    );
    if (reached.length === 0) return null;
    const kept = keepBest(reached, problem, meters, next);
    states = kept.states;
    isExact &&= kept.isExact;
  }
  const best = states.reduce((least, state) => (state.cost < least.cost ? state : least));
  const picks: Picked[] = [];
  for (let state: State | null = best; state?.pick; state = state.before) picks.unshift(state.pick);
  return { cost: best.cost, picks, isExact };
}

type Step = {
  readonly cost: number;
  readonly paid: number;
  readonly start: number;
  readonly end: number;
  readonly joins: boolean;
};

/** The ways to take an option: on from the last stretch of its trade, or as a stretch of its own. */
function stepsFor(
  { trades, once }: Problem,
  meter: Meter,
  state: State,
  { trade, fromFt, toFt }: Option,
): Step[] {
  const { longestFt = Infinity } = trades[trade]!;
  const buy = (bits: number) => priceOfBits(once, bits & ~state.paid);
  const end = state.ends[trade]!;
  const start = state.starts[trade]!;
  const farFt = Math.max(end, toFt);
  const canGoOn = end >= fromFt || (end > -Infinity && !meter.isBarred(end, fromFt));
  const steps: Step[] = [];
  if (canGoOn && (longestFt === Infinity || farFt - start <= longestFt + 1e-9)) {
    const bits = farFt > end ? meter.onceIn(end, farFt) : 0;
    const cost = farFt > end ? meter.cost(end, farFt, false) + buy(bits) : 0;
    const paid = state.paid | bits;
    steps.push({ cost: state.cost + cost, paid, start, end: farFt, joins: true });
  }
  // Over its own last stretch a trade only begins anew where that one may not go on.
  if (end < fromFt || steps.length === 0 || longestFt < Infinity) {
    const bits = meter.onceIn(fromFt, toFt);
    const cost = meter.opening(fromFt) + meter.cost(fromFt, toFt, true) + buy(bits);
    const paid = state.paid | bits;
    steps.push({ cost: state.cost + cost, paid, start: fromFt, end: toFt, joins: false });
  }
  return steps;
}

/** Where stretches begin and end after a step; those that nothing later could gain by joining are forgotten. */
function placeAfter(
  state: State,
  trade: number,
  step: Step,
  { startFt }: Ahead,
  { trades }: Problem,
  meters: readonly Meter[],
): Pick<State, 'starts' | 'ends'> {
  const isForgotten = (end: number, index: number) => {
    const nextFt = startFt[index]!;
    if (end === -Infinity || nextFt === Infinity) return true;
    if (nextFt <= end) return false;
    const meter = meters[index]!;
    return meter.isBarred(end, nextFt) || meter.cost(end, nextFt, false) >= meter.mostOpening;
  };
  const ends = state.ends.map((was, index) => {
    const end = index === trade ? step.end : was;
    return isForgotten(end, index) ? -Infinity : end;
  });
  const starts = state.starts.map((was, index) => {
    if (ends[index] === -Infinity || trades[index]!.longestFt === undefined) return -Infinity;
    return index === trade ? step.start : was;
  });
  return { starts, ends };
}

/** Whether a state can stand where another stands for at most the money between them. */
function canStandFor(
  state: State,
  other: State,
  { trades, once }: Problem,
  meters: readonly Meter[],
  { bits, startFt }: Ahead,
): boolean {
  const mostLack = other.cost - state.cost + HAIR_USD;
  let lack = priceOfBits(once, other.paid & ~state.paid & bits);
  for (let trade = 0; trade < trades.length; trade += 1) {
    if (lack > mostLack) return false;
    const end = other.ends[trade]!;
    const own = state.ends[trade]!;
    if (own >= end && state.starts[trade]! >= other.starts[trade]!) continue;
    const meter = meters[trade]!;
    const work = (fromFt: number, isOpening: boolean) =>
      meter.cost(fromFt, end, isOpening) + priceOfBits(once, meter.onceIn(fromFt, end));
    // Either it opens a stretch of its own where the next one may begin, or it works on to that end.
    const nextFt = startFt[trade]!;
    const opens = meter.mostOpening + (end > nextFt ? work(nextFt, true) : 0);
    const isLimited = trades[trade]!.longestFt !== undefined;
    const isShut = own === -Infinity || isLimited || meter.isBarred(own, end);
    const worksOn = isShut ? Infinity : work(own, false);
    lack += Math.min(opens, worksOn);
  }
  return lack <= mostLack;
}

/** Of states that stand alike, the cheapest: on a dense line most do. */
function cheapestOfEach(states: readonly State[]): State[] {
  const best = new Map<string, State>();
  for (const state of states) {
    const key = `${state.paid} ${state.ends.join(' ')} ${state.starts.join(' ')}`;
    const known = best.get(key);
    if (!known || state.cost < known.cost) best.set(key, state);
  }
  return [...best.values()];
}

/** Drops every state that another can stand in for at no more cost, and what is over `MOST_STATES`. */
function keepBest(
  states: readonly State[],
  problem: Problem,
  meters: readonly Meter[],
  ahead: Ahead,
): { readonly states: State[]; readonly isExact: boolean } {
  const kept: State[] = [];
  for (const state of cheapestOfEach(states).toSorted((a, b) => a.cost - b.cost)) {
    const isBeaten = kept.some((better) => canStandFor(better, state, problem, meters, ahead));
    if (isBeaten) continue;
    if (kept.length === MOST_STATES) return { states: kept, isExact: false };
    kept.push(state);
  }
  return { states: kept, isExact: true };
}
