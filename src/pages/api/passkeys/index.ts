import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { readObject } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { siteOf } from '#server/people/passkeys';
import { addPasskey } from '#server/services/people';

/** Keeps the passkey that whoever is signed in has made. */
export const POST = endpoint(async ({ request, locals }) => {
  const response = await readObject(request);
  await addPasskey(locals.call, response as never, siteOf(originOf(request)));
  return answer({ outcome: 'stored' }, 201);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
