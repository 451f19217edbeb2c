import type { Entry } from '#core/log/entry';
import { postJson } from '../shared/api';

/** An entry that the server has not acknowledged yet. */
export type Waiting = {
  readonly runId: string;
  readonly entry: Entry;
  /** Why the server refused it; it is kept until the inspector takes it out. */
  readonly refused?: string;
};

const keyOf = (jobId: string, entryId: string) => `chert:waiting:${jobId}:${entryId}`;

/** Entries of a job that wait on this device, oldest first. One key each, so tabs do not collide. */
export function readWaiting(jobId: string): Waiting[] {
  const prefix = keyOf(jobId, '');
  const keys = Object.keys(window.localStorage).filter((key) => key.startsWith(prefix));
  return keys.sort().flatMap((key) => {
    const text = window.localStorage.getItem(key);
    return text === null ? [] : [JSON.parse(text) as Waiting];
  });
}

/** Keeps an entry on this device until the server has it. */
export function keepWaiting(jobId: string, waiting: Waiting): void {
  window.localStorage.setItem(keyOf(jobId, waiting.entry.id), JSON.stringify(waiting));
}

/** Forgets an entry that the server has, or that the inspector took out. */
export function dropWaiting(jobId: string, entryId: string): void {
  window.localStorage.removeItem(keyOf(jobId, entryId));
}

/** How many entries are sent at once. */
const BATCH = 50;

/**
 * Sends what waits, in order, one run's entries at a time.
 *
 * @returns `sent` when nothing sendable is left, `unreachable` when the server does not answer.
 */
export async function sendWaiting(
  jobId: string,
  onChange: () => void,
): Promise<'sent' | 'unreachable'> {
  let size = BATCH;
  for (;;) {
    const sendable = readWaiting(jobId).filter(({ refused }) => refused === undefined);
    const first = sendable[0];
    if (!first) return 'sent';
    const batch = sendable.filter(({ runId }) => runId === first.runId).slice(0, size);
    const path = `/api/jobs/${encodeURIComponent(jobId)}/runs/${encodeURIComponent(first.runId)}/entries`;
    const sent = await postJson(path, { entries: batch.map(({ entry }) => entry) });
    if (sent.state === 'unreachable') return 'unreachable';
    if (sent.state === 'ok') {
      for (const { entry } of batch) dropWaiting(jobId, entry.id);
    } else if (batch.length > 1) {
      // One bad entry must not hold up the others: send them singly from here on.
      size = 1;
      continue;
    } else {
      const [fault] = sent.faults;
      const refused = fault
        ? `${fault.path}: expected ${fault.expected}, got ${fault.got}`
        : sent.message;
      keepWaiting(jobId, { ...first, refused });
    }
    onChange();
  }
}
