import { seededRandom } from '../../base/random';
import { drawFrom } from '../../base/range';
import { upkeepIn } from './expect';
import {
  chanceOf,
  type Future,
  isClearedIn,
  type Risk,
  type Standing,
  standsAfter,
  YEARS,
} from './future';

/** What many histories of one plan came to, by year: index 0 is now, index y the end of year y. */
export type Played<Id extends string = string> = {
  readonly planId: Id;
  /** Money spent so far: 10th percentile, median, 90th percentile, mean. */
  readonly low: readonly number[];
  readonly middle: readonly number[];
  readonly high: readonly number[];
  readonly mean: readonly number[];
  /** Share of histories with at least one backup so far. */
  readonly backup: readonly number[];
};

/** Histories that are being played, some at a time. */
export type Play<Id extends string> = {
  /** Plays so many more of each plan; returns the share played so far, 0 to 1. */
  readonly step: (histories: number) => number;
  /** What has been played so far came to. */
  readonly tell: () => readonly Played<Id>[];
};

export const USUAL_HISTORIES = 20_000;

/**
 * When a risk comes next, having been cleared at the end of year y: `next[y][k]` is the chance that it
 * comes by the end of year y + 1 + k. `next[0]` begins as the risk stands now. One number drawn then stands
 * for many years.
 */
type Table = {
  readonly next: readonly Float64Array[];
  readonly isAgain: boolean;
  readonly backsUp: boolean;
  readonly cost: number;
};

function tableOf(risk: Risk): Table {
  const next = Array.from({ length: YEARS }, (_, start) => {
    let none = 1;
    let standing: Standing = start === 0 ? risk.startsAt : 0;
    return Float64Array.from({ length: YEARS - start }, (_unused, index) => {
      none *= 1 - chanceOf(risk, standing);
      standing = standsAfter(standing, isClearedIn(risk, start + 1 + index));
      return 1 - none;
    });
  });
  return { next, isAgain: risk.after === 'again', backsUp: risk.backsUp, cost: risk.cost };
}

/** The year in which a risk comes next after `year`; beyond `YEARS` when it does not. */
function nextYear(table: Table, year: number, drawn: number): number {
  const by = table.next[year]!;
  if (drawn >= by[by.length - 1]!) return YEARS + 1;
  let index = 0;
  while (by[index]! <= drawn) index += 1;
  return year + 1 + index;
}

/** One plan's histories: the money spent by the end of each year, year by year. */
type Column = {
  readonly future: Future;
  readonly tables: readonly Table[];
  readonly upkeep: Float64Array;
  readonly spent: readonly Float32Array[];
  readonly backups: Uint32Array;
};

function columnOf(future: Future, histories: number): Column {
  return {
    future,
    tables: future.risks.map(tableOf),
    upkeep: Float64Array.from({ length: YEARS + 1 }, (_, year) =>
      year === 0 ? 0 : upkeepIn(future.upkeep, year),
    ),
    spent: Array.from({ length: YEARS + 1 }, () => new Float32Array(histories)),
    backups: new Uint32Array(YEARS + 1),
  };
}

/**
 * Starts to play plans forward. The same seed gives the same numbers, however many are played at a time:
 * every plan draws from a sequence of its own.
 */
export function startPlay<Id extends string>(
  futures: readonly Future<Id>[],
  { histories = USUAL_HISTORIES, seed }: { readonly histories?: number; readonly seed: number },
): Play<Id> {
  const columns = futures.map((future) => columnOf(future, histories));
  const randoms = futures.map((_, index) => seededRandom(seed + index * 7919));
  const bill = new Float64Array(YEARS + 1);
  let played = 0;
  const playOne = (
    { future, tables, upkeep, spent, backups }: Column,
    random: ReturnType<typeof seededRandom>,
    at: number,
  ) => {
    bill.fill(0);
    bill[0] = drawFrom(future.now, random.normal());
    let firstBackup = YEARS + 1;
    for (const table of tables) {
      let year = nextYear(table, 0, random.next());
      if (table.backsUp) firstBackup = Math.min(firstBackup, year);
      while (year <= YEARS) {
        bill[year]! += table.cost;
        year = table.isAgain && year < YEARS ? nextYear(table, year, random.next()) : YEARS + 1;
      }
    }
    let sum = 0;
    for (let year = 0; year <= YEARS; year += 1) {
      sum += bill[year]! + upkeep[year]!;
      spent[year]![at] = sum;
      if (year >= firstBackup) backups[year]! += 1;
    }
  };
  return {
    step: (more) => {
      const end = Math.min(histories, played + more);
      for (const [index, column] of columns.entries())
        for (let at = played; at < end; at += 1) playOne(column, randoms[index]!, at);
      played = end;
      return played / histories;
    },
    tell: () =>
      columns.map((column, index) => ({
        planId: futures[index]!.planId,
        ...summarise(column, played),
      })),
  };
}

function summarise({ spent, backups }: Column, played: number): Omit<Played, 'planId'> {
  const sorted = spent.map((column) => column.slice(0, played).sort());
  const at = (share: number) =>
    sorted.map((column) => column[Math.min(played - 1, Math.floor(share * played))] ?? 0);
  return {
    low: at(0.1),
    middle: at(0.5),
    high: at(0.9),
    mean: sorted.map(
      (column) => column.reduce((sum, value) => sum + value, 0) / Math.max(1, played),
    ),
    backup: [...backups].map((count) => count / Math.max(1, played)),
  };
}
