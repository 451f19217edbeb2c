import { sayGot } from '#core/base/fault';
import { database } from '#server/database';
import { answer, refuseFaults } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { readRunSetup } from '#server/http/run-setup';
import { putRun } from '#server/inspections';

/** Adds a run's set-up, or puts a changed one in its place. Its log is not touched. */
export const PUT = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const setup = await readRunSetup(context.request, jobId);
  const id = context.params['runId'] ?? '';
  if (setup.id !== id)
    throw refuseFaults([
      { path: 'id', expected: `"${id}", as in the path`, got: sayGot(setup.id) },
    ]);
  return answer({ outcome: putRun(database(), jobId, setup) });
});

export const ALL = endpoint(() => {
  throw refuseMethod('PUT');
});
