import { defineMiddleware } from 'astro:middleware';
import { LOADS_NOTHING, SECURITY_HEADERS } from '#server/http/security-headers';

/** What every answer of the app carries. Who is answered at all was decided before: see `server/front`. */
export const onRequest = defineMiddleware(async ({ cookies, locals }, next) => {
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
