import { answer, refuseUnknown } from '#server/http/answer';
import { readEdits } from '#server/http/edits';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { editJob, jobRevision, loadJobState, removeJob } from '#server/services/jobs';

/**
 * A job as it stands: its inspection, its revision, and what two devices set without seeing each other.
 * With `?since=` the revision that is known: only that while nothing is newer.
 */
export const GET = endpoint(({ params, url, locals }) => {
  const jobId = params['jobId'] ?? '';
  const rev = jobRevision(locals.call, jobId);
  if (rev !== null && url.searchParams.get('since') === String(rev)) return answer({ rev });
  const state = loadJobState(locals.call, jobId);
  if (!state) throw refuseUnknown('job');
  return answer(state);
});

/** Sets fields of a job. Answered only when they are on the disk. */
export const PATCH = endpoint(async ({ request, params, locals }) => {
  // The body first: nothing that is read before it may be old by the time it is here.
  const sent = await readEdits(request);
  return answer(editJob(locals.call, params['jobId'] ?? '', sent));
});

/** Takes a job off the list. Nothing of it is deleted. */
export const DELETE = endpoint(({ params, locals }) => {
  removeJob(locals.call, params['jobId'] ?? '');
  return answer({ outcome: 'removed' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET, PATCH or DELETE');
});
