import { createEvents, type EventAttributes } from 'ics';
import { Temporal } from 'temporal-polyfill';
import { plainData } from '../base/plain-text';
import { buyerWordsOf } from '../catalogue/defects/kinds';
import type { Assessment } from '../judge/assessment';
import { coursesOf, sayEvery } from '../planning/course';
import { repairOf } from '../planning/repair';
import { dayOf } from '../report/calendar';
import { inScope } from '../report/in-scope';
import { composeSteps } from '../report/steps';
import { foldLines } from './fold-lines';

/** A day in the buyer's calendar. */
type Day = {
  readonly key: string;
  readonly on: string;
  readonly title: string;
  readonly text: string;
  /** Comes back every so many years. */
  readonly everyYears?: number;
};

/** Days after the end of the inspection period on which the line is scoped again, to prove a repair. */
const SCOPE_AGAIN_DAYS = 45;

const after = (day: string, span: Temporal.DurationLike) =>
  Temporal.PlainDate.from(day).add(span).toString();

/** The next steps, the scope after repair, and upkeep as it comes round. */
export function listDays(assessment: Assessment): Day[] {
  const { job } = assessment.inspection;
  const scoped = dayOf(job.scheduledFor);
  const from = job.inspectionPeriodEndsOn ?? scoped;
  const repair = repairOf(assessment);
  const courses = coursesOf(repair);
  const findings = inScope(assessment);
  const steps = composeSteps(assessment, repair).flatMap(({ text, byOn }, index): Day[] =>
    byOn === null
      ? []
      : [
          {
            key: `step-${index + 1}`,
            on: byOn,
            title: text,
            text: 'From the sewer lateral report.',
          },
        ],
  );
  const repairs = findings.some(({ id }) => courses.get(id)!.does === 'repair');
  const upkeep = findings.flatMap((finding): Day[] => {
    const { everyYears } = courses.get(finding.id)!;
    if (everyYears === null) return [];
    const name = buyerWordsOf(finding.kind).name.toLowerCase();
    return [
      {
        key: `upkeep-${finding.id}`,
        on: after(from, { years: everyYears }),
        title: `Sewer upkeep: have the ${name} cleaned out (finding ${finding.number})`,
        text: `${sayEvery(everyYears)[0]!.toUpperCase()}${sayEvery(everyYears).slice(1)}.`,
        everyYears,
      },
    ];
  });
  return [
    ...steps,
    ...(job.inspectionPeriodEndsOn
      ? [
          {
            key: 'period',
            on: job.inspectionPeriodEndsOn,
            title: 'Inspection period ends',
            text: job.inspectionPeriodEndsAt ? `At ${job.inspectionPeriodEndsAt}.` : '',
          },
        ]
      : []),
    ...(repairs
      ? [
          {
            key: 'scope-again',
            on: after(from, { days: SCOPE_AGAIN_DAYS }),
            title: 'Scope the sewer again, to prove the repair',
            text: 'On video, from the same access.',
          },
        ]
      : []),
    ...upkeep,
  ];
}

const dateOf = (day: string) => day.split('-').map(Number) as [number, number, number];

/**
 * Writes the days as iCalendar (RFC 5545): whole-day events with ids of their own, so that a file read
 * again replaces what was read before. The stamp is the time of the scope: the file depends on the job alone.
 */
export function writeCalendar(assessment: Assessment): string {
  // A break in a name would be one in the file.
  const { job, property } = plainData(assessment.inspection);
  const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim();
  const stampMs = Date.parse(job.scheduledFor);
  const events = listDays(assessment).map(
    (day): EventAttributes =>
      ({
        uid: `${encodeURIComponent(job.id)}-${encodeURIComponent(day.key)}@chert`,
        productId: 'chert',
        calName: `Sewer lateral, ${oneLine(property.address)}`,
        start: dateOf(day.on),
        end: dateOf(after(day.on, { days: 1 })),
        title: oneLine(day.title),
        description: day.text,
        location: oneLine(property.address),
        busyStatus: 'FREE',
        timestamp: stampMs,
        ...(day.everyYears
          ? { recurrenceRule: `FREQ=YEARLY;INTERVAL=${day.everyYears};COUNT=10` }
          : {}),
        alarms: [
          {
            action: 'display',
            description: oneLine(day.title),
            trigger: { hours: 15, minutes: 0, before: true },
          },
        ],
      }) as EventAttributes,
  );
  if (events.length === 0) return EMPTY;
  const { error, value } = createEvents(events);
  if (error || !value) throw new Error(`the calendar of ${job.id}: ${String(error)}`);
  return foldLines(value);
}

const EMPTY = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:chert\r\nEND:VCALENDAR\r\n';
