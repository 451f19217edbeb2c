import { type Fault, faultsFromJoi, sayGot } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type Preferences } from '#core/site/equipment';
import { preferencesSchema } from '#core/site/equipment.schema';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { changePreferences, loadPreferences } from '#server/services/settings';

function mustBeWhole(preferences: Preferences): void {
  const { error } = preferencesSchema.required().validate(preferences, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
}

/** The rig, the inspector's own words, how new jobs are judged, and price books. */
export const GET = endpoint(({ locals }) => answer(loadPreferences(locals.call)));

/** Changes the parts that are given; what another screen changed meanwhile stands beside them. */
export const PATCH = endpoint(async ({ request, locals }) => {
  const change = await readJson(request, BODY_LIMITS.file);
  if (change === null || typeof change !== 'object' || Array.isArray(change)) {
    const fault: Fault = {
      path: 'preferences',
      expected: 'an object of parts',
      got: sayGot(change),
    };
    throw refuseFaults([fault]);
  }
  changePreferences(locals.call, change, mustBeWhole);
  return answer({ outcome: 'stored' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET or PATCH');
});
