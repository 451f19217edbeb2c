import { answer } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { refuseMethod } from '#server/http/params';
import { takeEntries } from '#server/http/take-entries';

/** Appends entries to a run's log. The front does the same by itself: see `server/front/log-route.ts`. */
export const POST = endpoint(async ({ request, params, locals }) => {
  const sent = await readJson(request, BODY_LIMITS.record);
  const { status, body } = await takeEntries(
    locals.call,
    params['jobId'] ?? '',
    params['runId'] ?? '',
    sent,
  );
  return answer(body, status);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
