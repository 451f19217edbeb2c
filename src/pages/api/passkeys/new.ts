import { database } from '#server/database';
import { answer, refuseUnknown } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { findAccount } from '#server/people/accounts';
import { askForNew, siteOf } from '#server/people/passkeys';

/** What a browser is asked when whoever is signed in makes a passkey. */
export const POST = endpoint(async ({ request, locals }) => {
  const account = locals.who && findAccount(database(), locals.who.id);
  if (!account) throw refuseUnknown('address');
  return answer({
    options: await askForNew(database(), account, siteOf(originOf(request)), Date.now()),
  });
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
