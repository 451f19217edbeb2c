import { faultsFromJoi, sayGot } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type AccessPoint, accessPointSchema } from '#core/job/access-point';
import { database } from '#server/database';
import { answer, refuseFaults } from '#server/http/answer';
import { BODY_LIMITS, readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { putPart } from '#server/parts';

/** Adds an access point, or puts a changed one in its place. */
export const PUT = endpoint(async (context) => {
  const jobId = knownJobId(context);
  const value = await readJson(context.request, BODY_LIMITS.record);
  const { error } = accessPointSchema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  const access = value as AccessPoint;
  const id = context.params['accessId'] ?? '';
  if (access.id !== id)
    throw refuseFaults([
      { path: 'id', expected: `"${id}", as in the path`, got: sayGot(access.id) },
    ]);
  return answer({ outcome: putPart(database(), 'access_points', jobId, access) });
});

export const ALL = endpoint(() => {
  throw refuseMethod('PUT');
});
