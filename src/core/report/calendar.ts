import { Temporal } from 'temporal-polyfill';
import { type Holidays, NO_HOLIDAYS } from '../model/job/report-options';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** The day of an instant where the job is, by the offset written in it. */
export function dayOf(instant: string): string {
  return instant.slice(0, 10);
}

/** A day as people say it: "Thu 12 Nov". */
export function sayDay(day: string): string {
  const date = Temporal.PlainDate.from(day);
  return `${WEEKDAYS[date.dayOfWeek - 1]} ${date.day} ${MONTHS[date.month - 1]!.slice(0, 3)}`;
}

/** The time of day of an instant where the job is, as people say it: "9:30 am"; `null` at midnight, which nobody means. */
export function sayClock(instant: string): string | null {
  const [hour = 0, minute = 0] = instant.slice(11, 16).split(':').map(Number);
  if (hour === 0 && minute === 0) return null;
  return `${((hour + 11) % 12) + 1}:${String(minute).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`;
}

/** A day with its year: "3 November 2026". */
export function sayLongDay(day: string): string {
  const date = Temporal.PlainDate.from(day);
  return `${date.day} ${MONTHS[date.month - 1]} ${date.year}`;
}

/** The nth weekday (1 = Monday) of a month, or the last one when `nth` is −1. */
function nthWeekday(year: number, month: number, weekday: number, nth: number): Temporal.PlainDate {
  if (nth === -1) {
    const last = Temporal.PlainDate.from({ year, month, day: 1 })
      .add({ months: 1 })
      .subtract({ days: 1 });
    return last.subtract({ days: (last.dayOfWeek - weekday + 7) % 7 });
  }
  const first = Temporal.PlainDate.from({ year, month, day: 1 });
  return first.add({ days: ((weekday - first.dayOfWeek + 7) % 7) + 7 * (nth - 1) });
}

/**
 * Federal holidays of the United States for one year, as observed (5 U.S.C. 6103: a Saturday holiday
 * is kept on Friday, a Sunday one on Monday).
 */
export function federalHolidays(year: number): string[] {
  const fixed: readonly (readonly [number, number])[] = [
    [1, 1],
    [6, 19],
    [7, 4],
    [11, 11],
    [12, 25],
  ];
  const observed = fixed.map(([month, day]) => {
    const date = Temporal.PlainDate.from({ year, month, day });
    if (date.dayOfWeek === 6) return date.subtract({ days: 1 });
    return date.dayOfWeek === 7 ? date.add({ days: 1 }) : date;
  });
  return [
    ...observed,
    nthWeekday(year, 1, 1, 3),
    nthWeekday(year, 2, 1, 3),
    nthWeekday(year, 5, 1, -1),
    nthWeekday(year, 9, 1, 1),
    nthWeekday(year, 10, 1, 2),
    nthWeekday(year, 11, 4, 4),
  ].map(String);
}

/** Whether offices work on a day: neither a weekend nor a holiday as kept here. */
export function isWorkingDay(day: string, { added, removed }: Holidays = NO_HOLIDAYS): boolean {
  const date = Temporal.PlainDate.from(day);
  // New Year's Day on a Saturday is kept on the last day of the year before.
  const holidays = [...federalHolidays(date.year), ...federalHolidays(date.year + 1)];
  const isHoliday = added.includes(day) || (holidays.includes(day) && !removed.includes(day));
  return date.dayOfWeek <= 5 && !isHoliday;
}

/** The working day `count` working days before a day; 0 gives the day itself or the last one before. */
export function workingDaysBefore(
  day: string,
  count: number,
  holidays: Holidays = NO_HOLIDAYS,
): string {
  let date = Temporal.PlainDate.from(day);
  while (!isWorkingDay(String(date), holidays)) date = date.subtract({ days: 1 });
  for (let left = count; left > 0;) {
    date = date.subtract({ days: 1 });
    if (isWorkingDay(String(date), holidays)) left -= 1;
  }
  return String(date);
}

/** Working days after `from` up to and including `to`; 0 or less when the period is over. */
export function workingDaysLeft(
  from: string,
  to: string,
  holidays: Holidays = NO_HOLIDAYS,
): number {
  const start = Temporal.PlainDate.from(from);
  const end = Temporal.PlainDate.from(to);
  if (Temporal.PlainDate.compare(start, end) > 0) return -workingDaysLeft(to, from, holidays);
  const days = Math.min(start.until(end).days, 4000);
  let count = 0;
  for (let step = 1; step <= days; step += 1) {
    if (isWorkingDay(String(start.add({ days: step })), holidays)) count += 1;
  }
  return count;
}
