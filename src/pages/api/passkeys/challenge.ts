import { database } from '#server/database';
import { answer } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { askForSignIn, siteOf } from '#server/people/passkeys';

/** What a passkey is asked to sign, to sign in. */
export const POST = endpoint(async ({ request }) =>
  answer({ options: await askForSignIn(database(), siteOf(originOf(request)), Date.now()) }),
);

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
