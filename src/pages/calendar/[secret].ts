import type { APIRoute } from 'astro';
import { addDays } from '#core/base/day';
import { writeFeed } from '#core/interchange/calendar-feed';
import { database } from '#server/database';
import { readDue } from '#server/due';
import { publicOrigin } from '#server/http/back';
import { localDay } from '#server/local-day';
import { findByFeed } from '#server/people/feed';
import { bookedBetween } from '#server/schedule';

/** How far back and ahead the looks of a calendar go, days. */
const BACK_DAYS = 14;
const AHEAD_DAYS = 60;

/** Somebody's looks and what is due, for a calendar program that has their private address. */
export const GET: APIRoute = ({ params, request }) => {
  const secret = (params['secret'] ?? '').replace(/\.ics$/, '');
  const whose = findByFeed(database(), secret);
  if (!whose) return new Response(null, { status: 404 });
  const nowMs = Date.now();
  const today = localDay(new Date(nowMs));
  const day = (days: number) => addDays(today, days);
  const text = writeFeed({
    name: whose.name,
    appointments: bookedBetween(database(), day(-BACK_DAYS), day(AHEAD_DAYS)).filter(
      ({ personId }) => personId === whose.id,
    ),
    due: readDue(database(), day(0)).filter(({ personId }) => personId === whose.id),
    origin: publicOrigin(request),
    nowMs,
  });
  return new Response(text, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'x-robots-tag': 'noindex' },
  });
};
