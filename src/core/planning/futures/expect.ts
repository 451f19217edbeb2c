import { meanOf } from '../../base/range';
import { type Future, type Risk, type Upkeep, YEARS } from './future';

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
 * What a risk does, exactly: a chain over the years since it was last cleared. `events[y]` is the number
 * expected in year y (1 to `YEARS`; 0 at index 0), `none[y]` the chance of none in the years up to y.
 */
export function riskYears({ chances, after, clearedEvery }: Risk): RiskYears {
  const events = [0];
  const none = [1];
  // Chance of standing at each number of years since it was cleared; those that mended for good drop out.
  let standing: number[] = [1, ...Array.from({ length: YEARS }, () => 0)];
  let quietAge = 0;
  for (let year = 1; year <= YEARS; year += 1) {
    const isCleared = clearedEvery !== null && year % clearedEvery === 0;
    const next = standing.map(() => 0);
    let expected = 0;
    for (const [age, share] of standing.entries()) {
      if (share === 0) continue;
      const chance = chances[Math.min(age, YEARS - 1)]!;
      expected += share * chance;
      if (after === 'again') next[0]! += share * chance;
      next[isCleared ? 0 : Math.min(age + 1, YEARS)]! += share * (1 - chance);
    }
    events.push(expected);
    none.push(none[year - 1]! * (1 - chances[Math.min(quietAge, YEARS - 1)]!));
    quietAge = isCleared ? 0 : quietAge + 1;
    standing = next;
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
  const risks = future.risks.map((risk) => ({ cost: risk.cost, ...riskYears(risk) }));
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
    backup.push(1 - risks.reduce((chance, { none }) => chance * none[year]!, 1));
  }
  return { spent, present, backup };
}
