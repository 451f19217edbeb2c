import { describe, expect, it } from 'vitest';
import { assess } from './assess';
import type { Inspection } from './model/job/inspection';
import { inspectionWith } from './testing/long-log';

/** How often the fields of an entry are read while a log is assessed, per entry: a count, so no machine is too slow for it. */
function readsPerEntry(job: Inspection): number {
  let reads = 0;
  const watched = <T extends object>(entry: T): T =>
    new Proxy(entry, {
      get: (target, field, receiver) => {
        reads += 1;
        return Reflect.get(target, field, receiver) as unknown;
      },
    });
  const runs = job.runs.map((run) => ({ ...run, entries: run.entries.map(watched) }));
  assess({ ...job, runs });
  return reads / runs.reduce((sum, { entries }) => sum + entries.length, 0);
}

/** The most that an entry may be read: half as much again as when this was written down, 81 times. */
const MOST_READS = 120;
/** How much more often it may be read in a log ten times as long, over the same feet. */
const MOST_GROWTH = 1.3;

describe('assessing a long log', () => {
  const [short, long] = [300, 3_000].map((count) => readsPerEntry(inspectionWith(count)));
  it('reads each entry no more often than it should', () => {
    expect(short).toBeLessThan(MOST_READS);
  });
  it('reads each hardly more often where the log is ten times as long', () => {
    expect(long! / short!).toBeLessThan(MOST_GROWTH);
  });
});
