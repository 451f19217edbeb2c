import { database } from '#server/database';
import { answer, refuseConflict } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { readRunSetup } from '#server/http/run-setup';
import { addRun } from '#server/inspections';

/** Adds a run's set-up to a job; the first one becomes the reference. */
export const POST = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const setup = await readRunSetup(context.request, jobId);
  const outcome = addRun(database(), jobId, setup);
  if (outcome === 'conflict') throw refuseConflict('run');
  return answer({ outcome }, outcome === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
