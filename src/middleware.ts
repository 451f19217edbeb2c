import { defineMiddleware } from 'astro:middleware';
import { LOADS_NOTHING, SECURITY_HEADERS } from '#server/http/security-headers';
import { readWho, WHO_HEADER } from '#server/http/who';

/** What every answer of the app carries. Who is answered at all was decided before: see `server/front`. */
export const onRequest = defineMiddleware(async ({ cookies, locals, request }, next) => {
  locals.who = readWho(request.headers.get(WHO_HEADER));
  const light = cookies.get('light')?.value;
  locals.light = light === 'daylight' || light === 'crawlspace' ? light : null;
  const response = await next();
  // A page may be stricter than the rule.
  for (const [name, value] of Object.entries(SECURITY_HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
  // Pages bring their policy with the hashes of their scripts.
  if (!response.headers.has('content-security-policy'))
    response.headers.set('content-security-policy', LOADS_NOTHING);
  return response;
});
