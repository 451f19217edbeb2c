import Papa from 'papaparse';
import { type CounterPoint, MOST_COUNTER_POINTS } from '../model/job/recording';
import { thin } from './thin';

/** A straight line between two points of a counter may be off by this, feet: half of the tenth that it shows. */
const KEEP_WITHIN_FT = 0.05;
const FT_PER_M = 1 / 0.3048;

export type CounterRead =
  | { readonly points: readonly CounterPoint[]; readonly skipped: number }
  | { readonly trouble: string };

const CLOCK = /^(?:(\d+):)?(\d{1,2}):(\d{2}(?:[.,]\d+)?)$/;

/** A time as a file may say it, ms: seconds, h:mm:ss, or an instant. `null` when it is none. */
function readTime(text: string): number | null {
  const clock = CLOCK.exec(text);
  if (clock) {
    const [, hours = '0', minutes, seconds] = clock;
    return (
      Number(hours) * 3_600_000 +
      Number(minutes) * 60_000 +
      Number(seconds!.replace(',', '.')) * 1000
    );
  }
  const seconds = Number(text);
  if (text !== '' && Number.isFinite(seconds)) return seconds * 1000;
  const instant = Date.parse(text);
  return Number.isFinite(instant) ? instant : null;
}

const numberIn = (text: string) => (/^-?\d+(\.\d+)?$/.test(text) ? Number(text) : null);

/** Thinned as little as what is kept with a run allows. */
function fitting(points: readonly CounterPoint[]): CounterPoint[] {
  let withinFt = KEEP_WITHIN_FT;
  let kept = thin(points, withinFt);
  while (kept.length > MOST_COUNTER_POINTS) {
    withinFt *= 2;
    kept = thin(points, withinFt);
  }
  return kept;
}

/** Which columns hold time and reading, and what a unit of each is worth. */
function readHeader(row: readonly string[]) {
  const names = row.map((name) => name.trim().toLowerCase());
  const time = names.findIndex((name) => /time|second|\bms\b|\bs\b|stamp/.test(name));
  const reading = names.findIndex((name) =>
    /read|foot|feet|\bft\b|count|dist|meter|metre|\bm\b/.test(name),
  );
  if (time < 0 || reading < 0 || time === reading) return null;
  return {
    time,
    reading,
    msPer: /\bms\b|milli/.test(names[time]!) ? 1 / 1000 : 1,
    ftPer: /meter|metre|\bm\b|\(m\)/.test(names[reading]!) ? FT_PER_M : 1,
  };
}

/**
 * Reads a counter's record: a table of two columns, time and reading, with a head or without. Times are
 * seconds, h:mm:ss, or instants, which count from the recording's start; readings are feet, or meters where
 * the head says so.
 *
 * @param startedAt when the recording began, for a table of instants; without it those cannot be laid beside it.
 */
export function readCounterCsv(text: string, startedAt: string | undefined): CounterRead {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const head = data[0] && readHeader(data[0]);
  const columns = head ?? { time: 0, reading: 1, msPer: 1, ftPer: 1 };
  const startMs = startedAt === undefined ? null : Date.parse(startedAt);
  let skipped = 0;
  const read = data.slice(head ? 1 : 0).flatMap((row): CounterPoint[] => {
    const timeMs = readTime((row[columns.time] ?? '').trim());
    const reading = numberIn((row[columns.reading] ?? '').trim());
    if (timeMs === null || reading === null) {
      skipped += 1;
      return [];
    }
    // An instant is far from any length of a recording.
    const isInstant = timeMs > 1e11;
    const atMs = isInstant ? timeMs - (startMs ?? Infinity) : timeMs * columns.msPer;
    if (atMs < 0) {
      skipped += 1;
      return [];
    }
    return [[Math.round(atMs), Math.max(0, reading * columns.ftPer)]];
  });
  if (
    read.length < 2 &&
    startMs === null &&
    data.some((row) => (readTime((row[columns.time] ?? '').trim()) ?? 0) > 1e11)
  )
    return {
      trouble:
        'Its times are of the clock. Say first when the recording began, then choose the counter again.',
    };
  if (read.length < 2)
    return {
      trouble: `Expected lines of a time and a reading ("12.5, 43.1"), got ${read.length} of them in ${data.length} lines. Export the counter as CSV and choose it again.`,
    };
  const inTime = read.toSorted((a, b) => a[0] - b[0]);
  return { points: fitting(inTime), skipped };
}
