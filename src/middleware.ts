import { defineMiddleware } from 'astro:middleware';
import { PLAIN_HEADERS, sayPage } from '#server/front/plain-pages';
import { Refusal } from '#server/http/answer';
import { ADDRESS_HEADER, CALLER_HEADER, readCaller } from '#server/http/caller-header';
import { LOADS_NOTHING, SECURITY_HEADERS } from '#server/http/security-headers';
import { serviceCall } from '#server/http/service-call';
import { personOf } from '#server/security/caller';

/** A page that refuses says so as a page; what is unexpected is for the page of that. */
function answerRefusal(error: unknown): Response {
  if (!(error instanceof Refusal)) throw error;
  return new Response(sayPage('Not now', error.message), {
    status: error.status,
    headers: PLAIN_HEADERS,
  });
}

/** What every answer of the app carries. Who is answered at all was decided before: see `server/front`. */
export const onRequest = defineMiddleware(async ({ cookies, locals, request }, next) => {
  const caller = readCaller(request.headers.get(CALLER_HEADER));
  locals.call = serviceCall(caller, {
    address: request.headers.get(ADDRESS_HEADER) ?? '',
    userAgent: request.headers.get('user-agent'),
  });
  locals.who = personOf(caller);
  const light = cookies.get('light')?.value;
  locals.light = light === 'daylight' || light === 'crawlspace' ? light : null;
  const response = await next().catch(answerRefusal);
  // A page may be stricter than the rule.
  for (const [name, value] of Object.entries(SECURITY_HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
  // Pages bring their policy with the hashes of their scripts.
  if (!response.headers.has('content-security-policy'))
    response.headers.set('content-security-policy', LOADS_NOTHING);
  return response;
});
