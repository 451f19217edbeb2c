/** How many years the futures are played; the longest horizon. */
export const YEARS = 30;

/** Something that may go wrong, year after year. */
export type Risk = {
  readonly name: string;
  /** Findings it comes from, by id; empty for pipe that wears out. */
  readonly findingIds: readonly string[];
  readonly kind: 'clog' | 'catch' | 'break' | 'age';
  /** Chance of it in a year, by whole years since it was last cleared: `YEARS` of them, 0 to 1. */
  readonly chances: readonly number[];
  /** Whether it may come again, its years counted anew, or is mended for good when it comes. */
  readonly after: 'again' | 'never';
  /** What it costs when it comes, the backup included, US dollars. */
  readonly cost: number;
  /** It is cleared at the end of every so many years; `null`: never. */
  readonly clearedEvery: number | null;
};

/** Work that comes back: paid at the end of every so many years. */
export type Upkeep = { readonly says: string; readonly everyYears: number; readonly cost: number };

/** A plan as it may go on: what it costs now, what it goes on costing, and what may happen. */
export type Future<Id extends string = string> = {
  readonly planId: Id;
  readonly now: { readonly low: number; readonly likely: number; readonly high: number };
  readonly upkeep: readonly Upkeep[];
  readonly risks: readonly Risk[];
};
