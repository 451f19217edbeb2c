import { database } from '#server/database';
import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { readObject } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { openSession } from '#server/people/open-session';
import { accountByPasskey, siteOf } from '#server/people/passkeys';

/** Signs in whoever a passkey is of. */
export const POST = endpoint(async (context) => {
  const response = await readObject(context.request);
  const site = siteOf(originOf(context.request));
  openSession(context, await accountByPasskey(database(), response as never, site, Date.now()));
  return answer({ outcome: 'signed-in' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
