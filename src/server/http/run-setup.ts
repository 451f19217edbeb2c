import { faultsFromJoi, sayGot } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type Run, runSetupSchema } from '#core/job/run';
import { database } from '../database';
import { hasPart } from '../parts';
import { refuseFaults } from './answer';
import { BODY_LIMITS, readJson } from './body';

/** Reads and checks a run's set-up; its access point must be one of the job's. */
export async function readRunSetup(request: Request, jobId: string): Promise<Omit<Run, 'entries'>> {
  const value = await readJson(request, BODY_LIMITS.record);
  const { error } = runSetupSchema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const { entries: _entries, ...setup } = value as Run;
  if (!hasPart(database(), 'access_points', jobId, setup.accessPointId)) {
    const got = sayGot(setup.accessPointId);
    throw refuseFaults([
      { path: 'accessPointId', expected: 'the id of an access point of this job', got },
    ]);
  }
  return setup;
}
