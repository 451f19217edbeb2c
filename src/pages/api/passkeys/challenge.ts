import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { siteOf } from '#server/people/passkeys';
import { askForSignIn } from '#server/services/sign-in';

/** What a passkey is asked to sign, to sign in. */
export const POST = endpoint(async ({ request, locals }) =>
  answer({ options: await askForSignIn(locals.call, siteOf(originOf(request))) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
