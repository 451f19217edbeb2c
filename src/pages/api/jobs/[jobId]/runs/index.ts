import { faultsFromJoi, sayGot } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type Run, runSetupSchema } from '#core/job/run';
import { database } from '#server/database';
import { answer, refuseConflict, refuseFaults } from '#server/http/answer';
import { BODY_LIMITS, readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { addRun } from '#server/inspections';
import { hasPart } from '#server/parts';

/** Adds a run's set-up to a job; the first one becomes the reference. */
export const POST = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const value = await readJson(context.request, BODY_LIMITS.record);
  const { error } = runSetupSchema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { entries: _entries, ...setup } = value as Run;
  if (!hasPart(database(), 'access_points', jobId, setup.accessPointId)) {
    const got = sayGot(setup.accessPointId);
    throw refuseFaults([
      { path: 'accessPointId', expected: 'the id of an access point of this job', got },
    ]);
  }
  const outcome = addRun(database(), jobId, setup);
  if (outcome === 'conflict') throw refuseConflict('run');
  return answer({ outcome }, outcome === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
