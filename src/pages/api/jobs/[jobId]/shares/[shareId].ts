import { database } from '#server/database';
import { answer, refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { knownJobId, refuseMethod } from '#server/http/params';
import { revokeShare } from '#server/shares';

/** Takes a link back. */
export const DELETE = endpoint((context) => {
  const id = context.params['shareId'] ?? '';
  if (!revokeShare(database(), knownJobId(context), id, new Date().toISOString()))
    throw refuseUnknown('link that is still open');
  return answer({ outcome: 'revoked' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('DELETE');
});
