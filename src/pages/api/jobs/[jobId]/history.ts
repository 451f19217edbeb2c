import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod, requireJobId } from '#server/http/params';
import { readHistory } from '#server/services/jobs';

/** What happened to a job, the latest first: old values stay readable. */
export const GET = endpoint((context) =>
  answer({ happened: readHistory(context.locals.call, requireJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
