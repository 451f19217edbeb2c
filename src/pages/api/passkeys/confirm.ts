import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { readObject } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { siteOf } from '#server/people/passkeys';
import { confirmByPasskey } from '#server/services/people';

/** Takes a passkey instead of the password, before ways in are changed. */
export const POST = endpoint(async ({ request, locals }) => {
  const response = await readObject(request);
  await confirmByPasskey(locals.call, response as never, siteOf(originOf(request)));
  return answer({ outcome: 'confirmed' });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
