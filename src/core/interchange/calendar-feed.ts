import { createEvents, type EventAttributes } from 'ics';
import { addDays } from '../base/day';
import { plainText } from '../base/plain-text';
import type { Appointment } from '../schedule/appointment';
import type { DueItem } from '../schedule/due';
import { foldLines } from './fold-lines';

export type Feed = {
  readonly name: string;
  readonly appointments: readonly Appointment[];
  readonly due: readonly DueItem[];
  /** Where Chert is reached, for the way back. */
  readonly origin: string;
  readonly nowMs: number;
};

const MINUTE_MS = 60_000;
const oneLine = (text: string) => plainText(text).replace(/\s+/g, ' ').trim();

type UtcTime = [number, number, number, number, number];
/** A time of day where the clock is so far ahead of UTC, as calendars have it in UTC. */
function utcOf(day: string, minutes: number, offsetMin: number): UtcTime {
  const ms = Date.parse(`${day}T00:00:00Z`) + (minutes - offsetMin) * MINUTE_MS;
  const at = new Date(ms);
  return [
    at.getUTCFullYear(),
    at.getUTCMonth() + 1,
    at.getUTCDate(),
    at.getUTCHours(),
    at.getUTCMinutes(),
  ];
}

const dayOf = (day: string) => day.split('-').map(Number) as [number, number, number];
const link = (origin: string, jobId: string) => `${origin}/jobs/${encodeURIComponent(jobId)}/site`;

function eventOfJob(one: Appointment, { origin, nowMs, name }: Feed): EventAttributes {
  return {
    uid: `${encodeURIComponent(one.id)}-look@chert`,
    productId: 'chert',
    calName: `Chert: ${oneLine(name)}`,
    start: utcOf(one.day, one.beginMin, one.offsetMin),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes: one.lengthMin },
    title: `Sewer scope, ${oneLine(one.title)}`,
    description: `For ${oneLine(one.client)}. ${link(origin, one.id)}`,
    location: oneLine(one.title),
    busyStatus: 'BUSY',
    timestamp: nowMs,
  } as EventAttributes;
}

function eventOfDue(item: DueItem, { origin, nowMs, name }: Feed): EventAttributes {
  return {
    uid: `${encodeURIComponent(item.jobId)}-${encodeURIComponent(item.key)}@chert`,
    productId: 'chert',
    calName: `Chert: ${oneLine(name)}`,
    start: dayOf(item.on),
    end: dayOf(addDays(item.on, 1)),
    title: `${oneLine(item.title)}: ${oneLine(item.says)}`,
    description: link(origin, item.jobId),
    busyStatus: 'FREE',
    timestamp: nowMs,
  } as EventAttributes;
}

const EMPTY = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:chert\r\nEND:VCALENDAR\r\n';

/** Somebody's looks and what is due, as iCalendar (RFC 5545). A look that is booked is told by its time, not as due. */
export function writeFeed(feed: Feed): string {
  const events = [
    ...feed.appointments.map((one) => eventOfJob(one, feed)),
    ...feed.due.filter(({ kind }) => kind !== 'scope').map((item) => eventOfDue(item, feed)),
  ];
  if (events.length === 0) return EMPTY;
  const { error, value } = createEvents(events);
  if (error || !value) throw new Error(`the calendar of ${feed.name}: ${String(error)}`);
  return foldLines(value);
}
