import { answer } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod, requireJobId } from '#server/http/params';
import { revokeShare } from '#server/services/reports';

/** Takes a link back. */
export const DELETE = endpoint((context) => {
  revokeShare(context.locals.call, requireJobId(context), context.params['shareId'] ?? '');
  return answer({ outcome: 'revoked' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('DELETE');
});
