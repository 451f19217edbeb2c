import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { readObject } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { openSession } from '#server/http/open-session';
import { refuseMethod } from '#server/http/params';
import { siteOf } from '#server/people/passkeys';
import { checkPasskey } from '#server/services/sign-in';

/** Signs in whoever a passkey is of. */
export const POST = endpoint(async (context) => {
  const response = await readObject(context.request);
  const site = siteOf(originOf(context.request));
  openSession(context, await checkPasskey(context.locals.call, response as never, site));
  return answer({ outcome: 'signed-in' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
