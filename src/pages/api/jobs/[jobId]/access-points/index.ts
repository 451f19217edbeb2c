import { faultsFromJoi } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type AccessPoint, accessPointSchema } from '#core/job/access-point';
import { database } from '#server/database';
import { answer, refuseConflict, refuseFaults } from '#server/http/answer';
import { BODY_LIMITS, readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { addPart } from '#server/parts';

/** Adds an access point to a job. */
export const POST = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const value = await readJson(context.request, BODY_LIMITS.record);
  const { error } = accessPointSchema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const outcome = addPart(database(), 'access_points', jobId, value as AccessPoint);
  if (outcome === 'conflict') throw refuseConflict('access point');
  return answer({ outcome }, outcome === 'stored' ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
