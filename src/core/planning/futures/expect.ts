import { meanOf } from '../../base/range';
import {
  chanceOf,
  type Future,
  isClearedIn,
  type Risk,
  type Standing,
  standsAfter,
  type Upkeep,
  YEARS,
} from './future';

/** What is to be expected of a future, by year: index 0 is now, index y the end of year y. */
export type Expectation = {
  /** Mean of the money spent so far, today's dollars. */
  readonly spent: readonly number[];
  /** Its present worth: later money counts for less. */
  readonly present: readonly number[];
  /** Chance of at least one backup so far, 0 to 1. */
  readonly backup: readonly number[];
};

/** Events expected in each year, and the chance of none so far. */
export type RiskYears = { readonly events: readonly number[]; readonly none: readonly number[] };

/**
 * What a risk does, exactly: a chain over how it stands. `events[y]` is the number expected in year y (1 to
 * `YEARS`; 0 at index 0), `none[y]` the chance of none in the years up to y.
 */
export function riskYears(risk: Risk): RiskYears {
  const events = [0];
  const none = [1];
  // The chance of each standing; those that mended for good drop out.
  let shares = new Map<Standing, number>([[risk.startsAt, 1]]);
  let quiet = risk.startsAt;
  for (let year = 1; year <= YEARS; year += 1) {
    const isCleared = isClearedIn(risk, year);
    const next = new Map<Standing, number>();
    const move = (to: Standing, share: number) => next.set(to, (next.get(to) ?? 0) + share);
    let expected = 0;
    for (const [standing, share] of shares) {
      const chance = chanceOf(risk, standing);
      expected += share * chance;
      if (risk.after === 'again') move(0, share * chance);
      move(standsAfter(standing, isCleared), share * (1 - chance));
    }
    events.push(expected);
    none.push(none[year - 1]! * (1 - chanceOf(risk, quiet)));
    quiet = standsAfter(quiet, isCleared);
    shares = next;
  }
  return { events, none };
}

/** What upkeep costs in a year: all that falls due at its end. */
export function upkeepIn(upkeep: readonly Upkeep[], year: number): number {
  return upkeep.reduce(
    (sum, { everyYears, cost }) => (year % everyYears === 0 ? sum + cost : sum),
    0,
  );
}

/** What is to be expected of a future, in closed form: nothing is played. */
export function expect(future: Future, discountRate: number): Expectation {
  const risks = future.risks.map((risk) => ({ ...risk, ...riskYears(risk) }));
  const backing = risks.filter(({ backsUp }) => backsUp);
  const now = meanOf(future.now);
  const spent = [now];
  const present = [now];
  const backup = [0];
  for (let year = 1; year <= YEARS; year += 1) {
    const inYear = risks.reduce(
      (sum, { events, cost }) => sum + events[year]! * cost,
      upkeepIn(future.upkeep, year),
    );
    spent.push(spent[year - 1]! + inYear);
    present.push(present[year - 1]! + inYear / (1 + discountRate) ** year);
    backup.push(1 - backing.reduce((chance, { none }) => chance * none[year]!, 1));
  }
  return { spent, present, backup };
}
