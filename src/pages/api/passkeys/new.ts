import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { siteOf } from '#server/people/passkeys';
import { askForPasskey } from '#server/services/people';

/** What a browser is asked when whoever is signed in makes a passkey. */
export const POST = endpoint(async ({ request, locals }) =>
  answer({ options: await askForPasskey(locals.call, siteOf(originOf(request))) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
