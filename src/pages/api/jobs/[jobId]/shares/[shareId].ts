import { database } from '#server/database';
import { noteDeed } from '#server/deeds';
import { answer, refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { revokeShare } from '#server/shares';

/** Takes a link back. */
export const DELETE = endpoint((context) => {
  const id = context.params['shareId'] ?? '';
  const jobId = knownJobId(context);
  const now = new Date().toISOString();
  if (!revokeShare(database(), jobId, id, now)) throw refuseUnknown('link that is still open');
  noteDeed(database(), jobId, { what: 'link-revoked' }, context.locals.who, now);
  return answer({ outcome: 'revoked' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('DELETE');
});
