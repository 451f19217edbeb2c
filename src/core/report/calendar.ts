import { minOf, sayTimeOf } from '../base/clock';
import { addDays, isDay } from '../base/day';
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

const DAY_MS = 86_400_000;

/** Midnight of a day at Greenwich, where no clock is ever changed, ms; a day that is none throws. */
function atMs(day: string): number {
  if (!isDay(day)) throw new RangeError(`expected a day (YYYY-MM-DD), got ${day}`);
  return Date.parse(`${day}T00:00:00Z`);
}

/** 1 for Monday to 7 for Sunday. */
const weekdayOf = (day: string): number => new Date(atMs(day)).getUTCDay() || 7;

const dayIn = (year: number, month: number, date: number): string =>
  `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}`;

const partsOf = (day: string) => {
  const date = new Date(atMs(day));
  return { date: date.getUTCDate(), month: MONTHS[date.getUTCMonth()]! };
};

/** A day as people say it: "Thu 12 Nov". */
export function sayDay(day: string): string {
  const { date, month } = partsOf(day);
  return `${WEEKDAYS[weekdayOf(day) - 1]} ${date} ${month.slice(0, 3)}`;
}

/** The time of day of an instant where the job is, as people say it: "9:30 am"; `null` at midnight, which nobody means. */
export function sayClock(instant: string): string | null {
  return minOf(instant) === 0 ? null : sayTimeOf(instant);
}

/** A day with its year: "3 November 2026". */
export function sayLongDay(day: string): string {
  const { date, month } = partsOf(day);
  return `${date} ${month} ${day.slice(0, 4)}`;
}

/** The nth weekday (1 = Monday) of a month, or the last one when `nth` is −1. */
function nthWeekday(year: number, month: number, weekday: number, nth: number): string {
  if (nth === -1) {
    const last = addDays(month === 12 ? dayIn(year + 1, 1, 1) : dayIn(year, month + 1, 1), -1);
    return addDays(last, -((weekdayOf(last) - weekday + 7) % 7));
  }
  const first = dayIn(year, month, 1);
  return addDays(first, ((weekday - weekdayOf(first) + 7) % 7) + 7 * (nth - 1));
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
  const observed = fixed.map(([month, date]) => {
    const day = dayIn(year, month, date);
    const weekday = weekdayOf(day);
    if (weekday === 6) return addDays(day, -1);
    return weekday === 7 ? addDays(day, 1) : day;
  });
  return [
    ...observed,
    nthWeekday(year, 1, 1, 3),
    nthWeekday(year, 2, 1, 3),
    nthWeekday(year, 5, 1, -1),
    nthWeekday(year, 9, 1, 1),
    nthWeekday(year, 10, 1, 2),
    nthWeekday(year, 11, 4, 4),
  ];
}

/** Whether offices work on a day: neither a weekend nor a holiday as kept here. */
export function isWorkingDay(day: string, { added, removed }: Holidays = NO_HOLIDAYS): boolean {
  if (weekdayOf(day) > 5 || added.includes(day)) return false;
  const year = Number(day.slice(0, 4));
  // New Year's Day on a Saturday is kept on the last day of the year before.
  const holidays = [...federalHolidays(year), ...federalHolidays(year + 1)];
  return !holidays.includes(day) || removed.includes(day);
}

/** The working day `count` working days before a day; 0 gives the day itself or the last one before. */
export function workingDaysBefore(
  day: string,
  count: number,
  holidays: Holidays = NO_HOLIDAYS,
): string {
  let at = day;
  while (!isWorkingDay(at, holidays)) at = addDays(at, -1);
  for (let left = count; left > 0;) {
    at = addDays(at, -1);
    if (isWorkingDay(at, holidays)) left -= 1;
  }
  return at;
}

/** Working days after `from` up to and including `to`; 0 or less when the period is over. */
export function workingDaysLeft(
  from: string,
  to: string,
  holidays: Holidays = NO_HOLIDAYS,
): number {
  if (from > to) return -workingDaysLeft(to, from, holidays);
  const days = Math.min(Math.round((atMs(to) - atMs(from)) / DAY_MS), 4000);
  let count = 0;
  for (let step = 1; step <= days; step += 1) {
    if (isWorkingDay(addDays(from, step), holidays)) count += 1;
  }
  return count;
}
