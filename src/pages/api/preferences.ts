import { faultsFromJoi } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type Preferences, preferencesSchema } from '#core/site/equipment';
import { database } from '#server/database';
import { answer, refuseFaults } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { BODY_LIMITS } from '#server/http/limits';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { loadPreferences, storePreferences } from '#server/preferences';

/** The rig and the inspector's own words. */
export const GET = endpoint(() => answer(loadPreferences(database())));

export const PUT = endpoint(async ({ request }) => {
  const value = await readJson(request, BODY_LIMITS.record);
  const { error } = preferencesSchema.required().validate(value, VALIDATION);
  if (error) throw refuseFaults(faultsFromJoi(error));
  storePreferences(database(), value as Preferences);
  return answer({ outcome: 'stored' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('GET or PUT');
});
