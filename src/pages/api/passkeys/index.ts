import { database } from '#server/database';
import { answer, refuseUnknown } from '#server/http/answer';
import { originOf } from '#server/http/back';
import { readObject } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { refuseMethod } from '#server/http/params';
import { keepNew, siteOf } from '#server/people/passkeys';
import { deviceOf } from '#server/people/sessions';

/** Keeps the passkey that whoever is signed in has made. */
export const POST = endpoint(async ({ request, locals }) => {
  if (!locals.who) throw refuseUnknown('address');
  const response = await readObject(request);
  const label = deviceOf(request.headers.get('user-agent'));
  await keepNew(database(), locals.who.id, response as never, siteOf(originOf(request)), {
    label,
    nowMs: Date.now(),
  });
  return answer({ outcome: 'stored' }, 201);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
