/** How many years the futures are played; the longest horizon. */
export const YEARS = 30;

/** Nothing is surer than this in one year. */
export const SUREST = 0.9;

/** Something that may go wrong, year after year. */
export type Risk = {
  readonly name: string;
  /** Findings it comes from, by id; empty for pipe that wears out and for the line as it is used. */
  readonly findingIds: readonly string[];
  /** `use`: what goes down any line; `follow`: what a look may show to be needed. */
  readonly kind: 'clog' | 'catch' | 'break' | 'age' | 'use' | 'follow';
  /** Chance of it in a year, by whole years since it was last cleared: `YEARS` of them, 0 to 1. */
  readonly chances: readonly number[];
  /**
   * Whole years for which it has gone uncleared now; `failed`: it has come already, and comes in the first
   * year as surely as anything does (`SUREST`).
   */
  readonly startsAt: number | 'failed';
  /** Whether it may come again, its years counted anew, or is mended for good when it comes. */
  readonly after: 'again' | 'never';
  /** Whether the house is backed up when it comes. */
  readonly backsUp: boolean;
  /** What it costs when it comes, the backup included, US dollars. */
  readonly cost: number;
  /** It is cleared at the end of every so many years; `null`: never. */
  readonly clearedEvery: number | null;
};

/** How a risk stands: by years since it was cleared, or failed. */
export type Standing = Risk['startsAt'];

/** Chance of a risk in a year that it enters standing so. */
export const chanceOf = ({ chances }: Pick<Risk, 'chances'>, standing: Standing): number =>
  standing === 'failed' ? SUREST : chances[Math.min(standing, YEARS - 1)]!;

/** How a risk stands at the end of a year in which it did not come. */
export const standsAfter = (standing: Standing, isCleared: boolean): Standing => {
  if (isCleared) return 0;
  return standing === 'failed' ? 'failed' : Math.min(standing + 1, YEARS);
};

/** Whether upkeep clears a risk at the end of a year. */
export const isClearedIn = ({ clearedEvery }: Pick<Risk, 'clearedEvery'>, year: number): boolean =>
  clearedEvery !== null && year % clearedEvery === 0;

/** Work that comes back: paid at the end of every so many years. */
export type Upkeep = { readonly says: string; readonly everyYears: number; readonly cost: number };

/** A plan as it may go on: what it costs now, what it goes on costing, and what may happen. */
export type Future<Id extends string = string> = {
  readonly planId: Id;
  readonly now: { readonly low: number; readonly likely: number; readonly high: number };
  readonly upkeep: readonly Upkeep[];
  readonly risks: readonly Risk[];
};
