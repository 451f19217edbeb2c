import type { Run } from '../model/job/run';
import type { Entry } from '../model/log/entry';

/** Both ends that an entry names on the counter: its reading and, for a stretch, the other end. */
export function readingsOf(entry: Entry): number[] {
  const readings = entry.readingFt === null ? [] : [entry.readingFt];
  if ((entry.kind === 'defect' || entry.kind === 'unseen') && entry.toReadingFt !== undefined) {
    readings.push(entry.toReadingFt);
  }
  return readings;
}

/**
 * How far the run went, feet on its counter: the `end` reading if there is one (the farthest, if a
 * run stopped twice), else the farthest reading of the log, else the zero's reading.
 */
export function farthestReadingFt(run: Run, standing: readonly Entry[]): number {
  const ends = standing.flatMap((entry) =>
    entry.kind === 'end' && entry.readingFt !== null ? [entry.readingFt] : [],
  );
  const all =
    ends.length > 0 ? ends : standing.filter((e) => e.kind !== 'home').flatMap(readingsOf);
  return all.reduce((most, reading) => Math.max(most, reading), run.zero.readingFt);
}
