import { database } from '#server/database';
import { listEdits } from '#server/edits';
import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';

/** What was ever set in a job, the latest first: old values stay readable. */
export const GET = endpoint((context) =>
  answer({ edits: listEdits(database(), knownJobId(context)) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('GET');
});
