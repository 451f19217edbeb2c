import type { APIRoute } from 'astro';
import { writeFeed } from '#core/interchange/calendar-feed';
import { publicOrigin } from '#server/http/back';
import { readFeed } from '#server/services/office';

/** Somebody's looks and what is due, for a calendar program that has their private address. */
export const GET: APIRoute = ({ params, request, locals }) => {
  const secret = (params['secret'] ?? '').replace(/\.ics$/, '');
  const feed = readFeed(locals.call, secret);
  if (!feed) return new Response(null, { status: 404 });
  const text = writeFeed({ ...feed, origin: publicOrigin(request), nowMs: locals.call.nowMs });
  return new Response(text, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'x-robots-tag': 'noindex' },
  });
};
