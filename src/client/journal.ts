import type { Fresh } from './job-on-device';
import { keepChanges } from './store';

/**
 * What was done a moment ago, by job, where a page can write at once: the device's store takes some
 * milliseconds, and a browser may be closed within them. It is let go as soon as the store has it.
 */
const PREFIX = 'chert:done:';
const prefixOf = (jobId: string) => `${PREFIX}${jobId}:`;

/** Several of one millisecond keep their order. */
let count = 0;

/**
 * Writes changes down at once.
 *
 * @returns the key to let them go by; `null` where there is no room or no place to write.
 */
export function jot(jobId: string, rows: readonly Fresh[], nowMs: number): string | null {
  count += 1;
  const order = `${String(nowMs).padStart(15, '0')}-${String(count).padStart(9, '0')}`;
  const key = prefixOf(jobId) + order;
  try {
    localStorage.setItem(key, JSON.stringify(rows));
    return key;
  } catch {
    return null;
  }
}

/** Lets go what the device's store has by now. */
export function strike(key: string | null): void {
  if (key !== null) localStorage.removeItem(key);
}

/** The keys of what was written down for a job, in the order it was done. */
function keysOf(jobId: string): string[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefixOf(jobId)))
      .toSorted();
  } catch {
    return [];
  }
}

/**
 * Takes into the device's store what an earlier page wrote down and could not keep any more. What the store
 * has already stays once; the server, too, takes a change once.
 *
 * @throws when this device has no room or no store: it stays written down, and is held in memory.
 */
export async function keepJotted(jobId: string): Promise<void> {
  for (const key of keysOf(jobId)) {
    const text = localStorage.getItem(key);
    // Another tab was faster.
    if (text === null) continue;
    await keepChanges(jobId, JSON.parse(text) as Fresh[]);
    strike(key);
  }
}
