import { putBytes, sendJson, type Sent } from '../shared/api';
import type { Change, Kept } from './changes';
import { findKeptMedia, listWaiting, markRefused, markSent } from './store';

/** How many entries are sent at once. */
const BATCH = 50;

export type Outcome =
  { readonly state: 'sent' } | { readonly state: 'unreachable'; readonly why?: string };

const jobPath = (jobId: string) => `/api/jobs/${encodeURIComponent(jobId)}`;

async function sendOne(
  jobId: string,
  change: Exclude<Change, { what: 'entry' }>,
): Promise<Sent<unknown>> {
  const path = jobPath(jobId);
  switch (change.what) {
    case 'run':
      return sendJson('PUT', `${path}/runs/${encodeURIComponent(change.setup.id)}`, change.setup);
    case 'access':
      return sendJson(
        'PUT',
        `${path}/access-points/${encodeURIComponent(change.access.id)}`,
        change.access,
      );
    case 'facts':
      return sendJson('PUT', `${path}/facts`, change.facts);
    case 'media': {
      const blob = await findKeptMedia(change.mediaId);
      // Without its bytes there is nothing left to send.
      if (!blob) return { state: 'ok', value: null };
      return putBytes(`${path}/media/${encodeURIComponent(change.mediaId)}`, blob);
    }
  }
}

/** The longest run of entries from the head of the queue that belongs to one log. */
function batchOf(waiting: readonly Kept[], size: number): Kept[] {
  const [first] = waiting;
  if (first?.change.what !== 'entry') return first ? [first] : [];
  const { runId } = first.change;
  const end = waiting.findIndex(({ change }) => change.what !== 'entry' || change.runId !== runId);
  return waiting.slice(0, Math.min(size, end < 0 ? waiting.length : end));
}

function sendBatch(jobId: string, batch: readonly Kept[]): Promise<Sent<unknown>> {
  const { change } = batch[0]!;
  if (change.what !== 'entry') return sendOne(jobId, change);
  const entries = batch.flatMap((kept) =>
    kept.change.what === 'entry' ? [kept.change.entry] : [],
  );
  return sendJson('POST', `${jobPath(jobId)}/runs/${encodeURIComponent(change.runId)}/entries`, {
    entries,
  });
}

/**
 * Sends what waits, in order, one log's entries at a time. What is refused is set aside with its reason
 * and holds up nothing else.
 */
export async function sendWaiting(jobId: string, onChange: () => void): Promise<Outcome> {
  let size = BATCH;
  for (;;) {
    const batch = batchOf(await listWaiting(jobId), size);
    const [first] = batch;
    if (!first) return { state: 'sent' };
    const sent = await sendBatch(jobId, batch);
    if (sent.state === 'unreachable') return sent;
    if (sent.state === 'ok') {
      await markSent(batch.map(({ seq }) => seq));
    } else if (batch.length > 1) {
      // One bad entry must not hold up the others: send them singly from here on.
      size = 1;
      continue;
    } else {
      const [fault] = sent.faults;
      const why = fault
        ? `${fault.path}: expected ${fault.expected}, got ${fault.got}`
        : sent.message;
      await markRefused(first.seq, why);
    }
    onChange();
  }
}
