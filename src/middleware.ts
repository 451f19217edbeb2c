import { defineMiddleware } from 'astro:middleware';
import { answerError, Refusal } from '#server/http/answer';
import { isKnownHost, isOwnOrigin, SECURITY_HEADERS } from '#server/http/guard';

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, cookies, locals } = context;
  const light = cookies.get('light')?.value;
  locals.light = light === 'daylight' || light === 'crawlspace' ? light : null;
  let response: Response;
  if (!isKnownHost(request)) {
    const message = 'This server does not answer to that host name. Set CHERT_ORIGIN to allow it.';
    response = answerError(new Refusal(421, 'wrong-host', message));
  } else if (!isOwnOrigin(request)) {
    const message = 'Only Chert’s own pages may write here. Nothing was stored.';
    response = answerError(new Refusal(403, 'wrong-origin', message));
  } else {
    response = await next();
  }
  // A page may be stricter than the rule.
  for (const [name, value] of Object.entries(SECURITY_HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
  // Pages bring their policy with the hashes of their scripts; nothing else needs to load anything.
  if (!response.headers.has('content-security-policy')) {
    response.headers.set('content-security-policy', "default-src 'none'; frame-ancestors 'none'");
  }
  return response;
});
