import { refuseUnknown } from '#server/http/answer';
import { endpoint } from '#server/http/endpoint';

/** Whatever else is asked of the API. */
export const ALL = endpoint(() => {
  throw refuseUnknown('address');
});
