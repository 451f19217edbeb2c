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
 * The most states that are carried from one target to the next. Ordinary lines need a few, dense ones some
 * dozens. Past it the cheapest are carried on, and the choice says that it is not proved the cheapest.
 */
const MOST_STATES = 300;

/** So few states find a good choice, though not always the best: nothing dearer need be followed after. */
const FEW_STATES = 8;

/** Sums of money, and feet, that differ by less are the same. */
const HAIR_USD = 1e-9;
const HAIR = 1e-9;

/** Where things stand after some targets: what was paid, and how far the stretch of each trade that goes on has come. */
type State = {
  readonly cost: number;
  readonly paid: number;
  /** Where the open stretch of each trade has come to; −∞ where none is open. */
  readonly ends: readonly number[];
  /** Where it began: only trades of limited length ask. */
  readonly starts: readonly number[];
  readonly before: State | null;
  readonly pick: Picked | null;
};

/** What lies ahead of a target: what may still be paid for, and where each trade may begin next. */
type Ahead = {
  readonly bits: number;
  readonly startFt: readonly number[];
  /** The most that a stretch of each trade may cost to begin from there on, with what stands right there. */
  readonly mostOpening: readonly number[];
};

function lookAhead({ targets, trades }: Problem, meters: readonly Meter[]): Ahead[] {
  // A gap that is worked to join two stretches may need anything that its trade ever needs.
  const bitsOf = trades.map(({ rates }) => rates.reduce((bits, { once }) => bits | once, 0));
  const ahead: Ahead[] = [
    { bits: 0, startFt: trades.map(() => Infinity), mostOpening: trades.map(() => 0) },
  ];
  for (const { options } of targets.toReversed()) {
    const last = ahead.at(-1)!;
    const startFt = [...last.startFt];
    let { bits } = last;
    for (const { trade, fromFt } of options) {
      startFt[trade] = Math.min(startFt[trade]!, fromFt);
      bits |= bitsOf[trade]!;
    }
    const mostOpening = meters.map((meter, trade) => {
      const atFt = startFt[trade]!;
      return atFt === Infinity ? 0 : meter.mostOpening(atFt) + meter.cost(atFt, atFt, true);
    });
    ahead.push({ bits, startFt, mostOpening });
  }
  return ahead.reverse();
}

/**
 * Chooses the cheapest way to deal with every target.
 *
 * Dynamic programming over targets in the order of their stations. A stretch that may be joined by a later one is
 * either closed after a target or worked on, there and then, to where its trade may begin next. So a state is
 * what has been paid once and which trades are open: its stretches end at a handful of places, however close
 * the targets lie. A state goes when another, after buying and opening all that it lacks, is still no dearer, or
 * when it has cost more already than a whole choice that was found with a few states alone. The work is bounded
 * by `MOST_STATES`: for each target at most that many states, each with two ways to take each option and two
 * ways on for each trade that is open.
 *
 * @returns `null` when some target has no option.
 */
export function choose(problem: Problem): Choice | null {
  const meters = problem.trades.map(meterOf);
  const ahead = lookAhead(problem, meters);
  const first = follow(problem, meters, ahead, FEW_STATES, Infinity);
  if (first === null || first.isExact) return first;
  const rough = problem.trades.reduce((least, _, trade) => {
    const one = mostlyBy(problem, trade);
    const found = follow(one, meters, lookAhead(one, meters), FEW_STATES, least.cost);
    return found !== null && found.cost < least.cost ? { ...found, isExact: false } : least;
  }, first);
  const whole = follow(problem, meters, ahead, MOST_STATES, rough.cost + HAIR_USD);
  return whole !== null && whole.cost <= rough.cost + HAIR_USD ? whole : rough;
}

/** The problem with every target dealt with by one trade where that trade can. */
const mostlyBy = (problem: Problem, trade: number): Problem => ({
  ...problem,
  targets: problem.targets.map((target) => {
    const own = target.options.filter((option) => option.trade === trade);
    return own.length > 0 ? { ...target, options: own } : target;
  }),
});

/** The cheapest choice with so many states at most, of those that cost no more than `mostUsd`; `null` when there is none. */
function follow(
  problem: Problem,
  meters: readonly Meter[],
  ahead: readonly Ahead[],
  mostStates: number,
  mostUsd: number,
): Choice | null {
  const { trades, targets } = problem;
  const none = trades.map(() => -Infinity);
  let isExact = true;
  let states: State[] = [{ cost: 0, paid: 0, ends: none, starts: none, before: null, pick: null }];
  for (const [index, target] of targets.entries()) {
    const next = ahead[index + 1]!;
    const reached = states.flatMap((state) =>
      target.options.flatMap((option) =>
        stepsFor(problem, meters[option.trade]!, state, option).map(
          ({ cost, paid, start, end, joins }): State => ({
            cost,
            paid,
            ends: state.ends.with(option.trade, end),
            starts:
              trades[option.trade]!.longestFt === undefined
                ? state.starts
                : state.starts.with(option.trade, start),
            before: state,
            pick: { target, option, joins },
          }),
        ),
      ),
    );
    const cheap = reached.filter(({ cost }) => cost <= mostUsd);
    if (cheap.length === 0) return null;
    const gone = meters.reduce<readonly State[]>(
      (all, meter, trade) => goOn(all, trade, meter, problem, next),
      cheap,
    );
    const kept = keepBest(gone, problem, meters, next, mostStates);
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

/** The ways to take an option: on from the open stretch of its trade, or as a stretch of its own. */
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
  const steps: Step[] = [];
  // An open stretch was worked on to where this option begins, or is beyond.
  if (end >= fromFt && (longestFt === Infinity || farFt - start <= longestFt + HAIR)) {
    const bits = farFt > end ? meter.onceIn(end, farFt) : 0;
    const cost = farFt > end ? meter.cost(end, farFt, false) + buy(bits) : 0;
    const paid = state.paid | bits;
    steps.push({ cost: state.cost + cost, paid, start, end: farFt, joins: true });
  }
  // Over its own last stretch a trade only begins anew where that one may not go on.
  if (steps.length === 0 || longestFt < Infinity) {
    const bits = meter.onceIn(fromFt, toFt);
    const cost = meter.opening(fromFt) + meter.cost(fromFt, toFt, true) + buy(bits);
    const paid = state.paid | bits;
    steps.push({ cost: state.cost + cost, paid, start: fromFt, end: toFt, joins: false });
  }
  return steps;
}

/** Each state with the stretch of a trade closed, and worked on to where that trade may begin next; of those alike the cheapest. */
function goOn(
  states: readonly State[],
  trade: number,
  meter: Meter,
  { trades, once }: Problem,
  { startFt, mostOpening }: Ahead,
): readonly State[] {
  const nextFt = startFt[trade]!;
  const { longestFt } = trades[trade]!;
  // What nobody opened, or what is beyond the next place already, stays as it is.
  if (states.every(({ ends }) => ends[trade] === -Infinity || nextFt <= ends[trade]!))
    return states;
  const shut = (state: State): State => ({
    ...state,
    ends: state.ends.with(trade, -Infinity),
    starts: longestFt === undefined ? state.starts : state.starts.with(trade, -Infinity),
  });
  return cheapestOfEach(
    states.flatMap((state) => {
      const end = state.ends[trade]!;
      if (end === -Infinity || nextFt <= end) return [state];
      if (nextFt === Infinity) return [shut(state)];
      const feet = meter.cost(end, nextFt, false);
      const isTooLong = longestFt !== undefined && nextFt - state.starts[trade]! > longestFt;
      // No later stretch could gain by joining it.
      if (isTooLong || feet >= mostOpening[trade]! || meter.isBarred(end, nextFt))
        return [shut(state)];
      const bits = meter.onceIn(end, nextFt);
      const on: State = {
        ...state,
        cost: state.cost + feet + priceOfBits(once, bits & ~state.paid),
        paid: state.paid | bits,
        ends: state.ends.with(trade, nextFt),
      };
      return [shut(state), on];
    }),
  );
}

/** Whether a state can stand where another stands for at most the money between them. */
function canStandFor(
  state: State,
  other: State,
  { trades, once }: Problem,
  meters: readonly Meter[],
  { bits, startFt, mostOpening }: Ahead,
): boolean {
  const mostLack = other.cost - state.cost + HAIR_USD;
  let lack = priceOfBits(once, other.paid & ~state.paid & bits);
  for (let trade = 0; trade < trades.length; trade += 1) {
    if (lack > mostLack) return false;
    const end = other.ends[trade]!;
    const own = state.ends[trade]!;
    if (own >= end && state.starts[trade]! >= other.starts[trade]!) continue;
    const meter = meters[trade]!;
    const work = (fromFt: number) =>
      meter.cost(fromFt, end, false) +
      priceOfBits(once, meter.onceIn(fromFt, end) & ~(state.paid | other.paid));
    // Either it opens a stretch of its own where the next one may begin, or it works on to that end.
    const nextFt = startFt[trade]!;
    const opens = mostOpening[trade]! + (end > nextFt ? work(nextFt) : 0);
    const isLimited = trades[trade]!.longestFt !== undefined;
    const isShut = own === -Infinity || isLimited || meter.isBarred(own, end);
    const worksOn = isShut ? Infinity : work(own);
    lack += Math.min(opens, worksOn);
  }
  return lack <= mostLack;
}

/** Of states that stand alike, the cheapest: on a dense line most do. */
function cheapestOfEach(states: readonly State[]): readonly State[] {
  if (states.length < 2) return states;
  const best = new Map<string, State>();
  for (const state of states) {
    let key = String(state.paid);
    for (const [trade, end] of state.ends.entries())
      if (end !== -Infinity) key += ` ${trade} ${end} ${state.starts[trade]}`;
    const known = best.get(key);
    if (!known || state.cost < known.cost) best.set(key, state);
  }
  return [...best.values()];
}

/** Drops every state that another can stand in for at no more cost, and what is over so many. */
function keepBest(
  states: readonly State[],
  problem: Problem,
  meters: readonly Meter[],
  ahead: Ahead,
  most: number,
): { readonly states: State[]; readonly isExact: boolean } {
  const kept: State[] = [];
  for (const state of states.toSorted((a, b) => a.cost - b.cost)) {
    const isBeaten = kept.some((better) => canStandFor(better, state, problem, meters, ahead));
    if (isBeaten) continue;
    if (kept.length === most) return { states: kept, isExact: false };
    kept.push(state);
  }
  return { states: kept, isExact: true };
}
