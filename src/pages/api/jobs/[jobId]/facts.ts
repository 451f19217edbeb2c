import { checkFacts } from '#core/job/facts';
import { database } from '#server/database';
import { answer, refuseFaults } from '#server/http/answer';
import { BODY_LIMITS, readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { knownInspection, refuseMethod } from '#server/http/params';
import { storeFacts } from '#server/inspections';

/** Lays changed facts over a job's: what was agreed, the house, its lines, taped distances. */
export const PUT = endpoint(async (context) => {
  const inspection = knownInspection(context);
  const change = await readJson(context.request, BODY_LIMITS.record);
  const checked = checkFacts(inspection, change);
  if (!checked.ok) throw refuseFaults(checked.faults);
  storeFacts(database(), checked.value);
  return answer({ outcome: 'stored' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('PUT');
});
