import { database } from '#server/database';
import { listHistory } from '#server/history';
import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';

/** What happened to a job, the latest first: old values stay readable. */
export const GET = endpoint((context) =>
  answer({ happened: listHistory(database(), knownJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
