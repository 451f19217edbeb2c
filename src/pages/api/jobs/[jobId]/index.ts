import { database } from '#server/database';
import { listOverwritten, storeEdits } from '#server/edits';
import { answer, refuseUnknown } from '#server/http/answer';
import { readEdits } from '#server/http/edits';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { loadStored } from '#server/inspections';
import { revOf } from '#server/jobs';
import { takeOff } from '#server/take-off';

/**
 * A job as it stands: its inspection, its revision, and what two devices set without seeing each other.
 * With `?since=` the revision that is known: only that while nothing is newer.
 */
export const GET = endpoint((context) => {
  const rev = revOf(database(), context.params['jobId'] ?? '');
  if (rev !== null && context.url.searchParams.get('since') === String(rev)) return answer({ rev });
  const stored = loadStored(database(), context.params['jobId'] ?? '');
  if (!stored) throw refuseUnknown('job');
  const jobId = stored.inspection.job.id;
  return answer({ ...stored, told: listOverwritten(database(), jobId) });
});

/** Sets fields of a job. Answered only when they are on the disk. */
export const PATCH = endpoint(async (context) => {
  // The body first: nothing that is read before it may be old by the time it is here.
  const sent = await readEdits(context.request);
  const jobId = context.params['jobId'] ?? '';
  const { who } = context.locals;
  return answer(storeEdits(database(), jobId, { ...sent, who }, new Date().toISOString()));
});

/** Takes a job off the list. Nothing of it is deleted. */
export const DELETE = endpoint((context) => {
  takeOff(database(), knownJobId(context), context.locals.who, new Date().toISOString());
  return answer({ outcome: 'removed' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET, PATCH or DELETE');
});
