import { pieceOf } from '#core/interchange/recording-piece';
import type { Overwritten } from '#core/model/job/history';
import { getJson, putBytes, reportHeld, sayNotDone, sendJson, type Sent } from './api';
import type { Acknowledged, Base, Kept } from './change';
import { deviceAheadMs } from './clock';
import { findKeptMedia, forget, heldNow, listWaiting, mark } from './store';

/** How many entries are sent at once. */
const BATCH = 50;

export type Outcome =
  | { readonly state: 'sent' }
  | { readonly state: 'unreachable'; readonly why?: string }
  /** Another Chert answers: everything waits for the one that it is meant for. */
  | { readonly state: 'elsewhere' };

/** What the server says when it takes something. */
type Taken = {
  readonly before: number;
  readonly rev: number;
  readonly outcome?: string;
  readonly outcomes?: readonly { readonly id: string; readonly outcome: string }[];
  readonly isOtherwise?: boolean;
};

/** What sending tells: what was taken, and whether the server holds more than this device has seen. */
export type Listener = (taken: Taken, rows: readonly Kept[]) => void;

const jobPath = (jobId: string) => `/api/jobs/${encodeURIComponent(jobId)}`;

const isPiece = ({ change }: Kept) => change.what === 'media' && pieceOf(change.mediaId) !== null;

/** Pieces of recordings come last: a log never waits behind its video. */
const inOrder = (waiting: readonly Kept[]): readonly Kept[] =>
  waiting.some(isPiece)
    ? [...waiting.filter((one) => !isPiece(one)), ...waiting.filter(isPiece)]
    : waiting;

/** The longest run of entries from the head of the queue that belongs to one log and was logged by one. */
function batchOf(waiting: readonly Kept[], size: number): Kept[] {
  const [first] = waiting;
  if (first?.change.what !== 'entry') return first ? [first] : [];
  const { runId } = first.change;
  const end = waiting.findIndex(
    ({ change, by }) => change.what !== 'entry' || change.runId !== runId || by !== first.by,
  );
  return waiting.slice(0, Math.min(size, end < 0 ? waiting.length : end));
}

async function sendBatch(batch: readonly Kept[], device: string): Promise<Sent<unknown>> {
  const { change, jobId, installation, by, id, base, saidAt, ack } = batch[0]!;
  const path = jobPath(jobId);
  if (change.what === 'entry') {
    const entries = batch.flatMap((one) => (one.change.what === 'entry' ? [one.change.entry] : []));
    const runPath = `${path}/runs/${encodeURIComponent(change.runId)}/entries`;
    return sendJson('POST', runPath, { entries }, installation, by);
  }
  if (change.what === 'edits') {
    const asOf = ack ? { asOf: ack.at } : {};
    const { edits } = change;
    const aheadMs = deviceAheadMs();
    const ahead = aheadMs === 0 ? {} : { aheadMs };
    const body = { id, device, saidAt, base, ...ahead, ...asOf, edits };
    return sendJson('PATCH', path, body, installation, by);
  }
  const blob = await findKeptMedia(change.mediaId);
  if (!blob) {
    const message = 'Its bytes are no longer on this device.';
    return { state: 'refused', code: 'gone', message, faults: [] };
  }
  return putBytes(`${path}/media/${encodeURIComponent(change.mediaId)}`, blob, installation, by);
}

/** Reads an acknowledgement: it counts for what it names, and for nothing else. */
function takenOf(value: unknown, batch: readonly Kept[]): Taken | null {
  const taken = value as Partial<Taken>;
  if (typeof taken.rev !== 'number' || typeof taken.before !== 'number') return null;
  const named =
    batch[0]!.change.what === 'entry'
      ? batch.every(({ id }) => taken.outcomes?.some((one) => one.id === id && isDone(one.outcome)))
      : isDone(taken.outcome);
  return named ? (taken as Taken) : null;
}

/** `held`: it is on the server's disk, and waits there to be looked at. */
const isDone = (outcome: string | undefined) =>
  outcome === 'stored' || outcome === 'known' || outcome === 'held';

/** Where a change must wait: what is for one log, or each other thing by itself. */
const laneOf = ({ change, id }: Kept) => (change.what === 'entry' ? change.runId : id);

/**
 * Sends what waits of a job, in order, one log's entries at a time. What is refused for good is set aside
 * with its reason; what cannot be taken yet waits; neither holds up anything else.
 *
 * @param device what this device is known by.
 */
export async function sendWaiting(
  jobId: string,
  device: string,
  onTaken: Listener,
): Promise<Outcome> {
  let size = BATCH;
  const later = new Map<string, string>();
  for (;;) {
    const waiting = inOrder(await listWaiting(jobId)).filter((one) => !later.has(laneOf(one)));
    const batch = batchOf(waiting, size);
    const [first] = batch;
    if (!first) {
      const [why] = later.values();
      return why === undefined ? { state: 'sent' } : { state: 'unreachable', why };
    }
    const { count, since } = await heldNow().catch(() => ({ count: waiting.length, since: null }));
    // What goes now is not held any more, if it is taken.
    reportHeld(Math.max(0, count - batch.length), since);
    const sent = await sendBatch(batch, device);
    if (sent.state === 'unreachable' || sent.state === 'elsewhere') return sent;
    const taken = sent.state === 'ok' ? takenOf(sent.value, batch) : null;
    if (sent.state === 'ok' && taken) {
      const ack: Acknowledged = { rev: taken.rev, era: sent.stamp.era, at: sent.stamp.at };
      // A piece of a recording is let go once the server has it: an hour of them would fill a device.
      if (isPiece(first)) await forget(jobId, batch);
      else await mark(jobId, batch, { state: 'acknowledged', ack });
      onTaken(taken, batch);
    } else if (sent.state === 'refused' && batch.length > 1) {
      // One bad entry must not hold up the others: send them singly from here on.
      size = 1;
    } else if (sent.state === 'refused') {
      await mark(jobId, batch, { state: 'refused', refused: sayNotDone(sent) });
    } else {
      const why = sent.state === 'later' ? sent.why : 'The server did not name what it took.';
      later.set(laneOf(first), why);
    }
  }
}

/**
 * A job as its server shows it now.
 *
 * @param since the revision that is known: when there is nothing newer, nothing is sent.
 * @returns `null` when there is nothing newer, and when the server meant cannot be asked.
 */
export async function fetchBase(
  jobId: string,
  installation: string,
  since: number | null,
): Promise<Fetched | null> {
  const path = `${jobPath(jobId)}${since === null ? '' : `?since=${since}`}`;
  const sent = await getJson<Partial<Fetched>>(path, installation);
  if (sent.state !== 'ok') return null;
  const { inspection, rev, told = [] } = sent.value;
  if (!inspection || rev === undefined) return null;
  return { jobId, installation, era: sent.stamp.era, rev, inspection, told };
}

export type Fetched = Base & { readonly told: readonly Overwritten[] };
