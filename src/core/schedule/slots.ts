import { addDays } from '../base/day';
import type { Holidays } from '../model/job/report-options';
import type { Hours } from '../office/hours';
import { type Place, travelMin } from '../office/travel';
import { isWorkingDay, workingDaysLeft } from '../report/calendar';
import { type Appointment, type Crew, endOf, inOrder } from './appointment';

/** A time at which a look can be had. */
export type Slot = {
  readonly personId: string;
  readonly day: string;
  readonly beginMin: number;
  /** The way there from what comes before, and on to what comes after, minutes; 0 where a day begins or ends there. */
  readonly wayMin: number;
  /** Working days left after that day for report, quotes and asking; `null` where no period is known. */
  readonly daysLeft: number | null;
};

export type SlotWish = {
  readonly lengthMin: number;
  readonly place: Place | null;
  readonly periodEndsOn: string | null;
  /** The first day that will do, and how many are looked at. */
  readonly from: string;
  readonly days: number;
  /** No earlier than this on the first day. */
  readonly fromMin?: number;
};

/** People are told quarters of an hour. */
const STEP_MIN = 15;
const upTo = (minutes: number) => Math.ceil(minutes / STEP_MIN) * STEP_MIN;

/**
 * The first time in each gap of one day, the ways there and on kept free. Every job bounds a gap and not its neighbors
 * alone: where jobs overlap, the last to begin need not be the last to end.
 */
function slotsOfDay(
  crew: Crew,
  day: string,
  taken: readonly Appointment[],
  { lengthMin, place, from, fromMin = 0 }: SlotWish,
  { startMin, endMin, travel }: Hours,
): Omit<Slot, 'daysLeft'>[] {
  const earliest = Math.max(startMin, day === from ? fromMin : 0);
  const stops = inOrder(taken).map((stop) => {
    const wayMin = travelMin(stop.place, place, travel);
    return {
      doneBy: { min: endOf(stop) + wayMin, wayMin },
      leaveBy: { min: stop.beginMin - wayMin, wayMin },
    };
  });
  // From home one leaves as early as it takes; from a job when it is done.
  const fromHome = { min: startMin, wayMin: crew.home ? travelMin(crew.home, place, travel) : 0 };
  return Array.from({ length: stops.length + 1 }).flatMap((_, index) => {
    const before = stops
      .slice(0, index)
      .map(({ doneBy }) => doneBy)
      .reduce((latest, one) => (one.min >= latest.min ? one : latest), fromHome);
    const after = stops
      .slice(index)
      .map(({ leaveBy }) => leaveBy)
      .reduce((soonest, one) => (one.min <= soonest.min ? one : soonest), {
        min: endMin,
        wayMin: 0,
      });
    const beginMin = upTo(Math.max(earliest, before.min));
    if (beginMin + lengthMin > after.min) return [];
    return [{ personId: crew.id, day, beginMin, wayMin: before.wayMin + after.wayMin }];
  });
}

/**
 * The first times at which somebody is free: soonest first, then the shortest way. A day's first time in each gap is
 * offered; what comes later in the same gap is not.
 *
 * @param taken everything that is booked in these days.
 */
export function findSlots(
  crews: readonly Crew[],
  taken: readonly Appointment[],
  wish: SlotWish,
  hours: Hours,
  holidays?: Holidays,
): Slot[] {
  const byDay = new Map<string, Appointment[]>();
  for (const one of taken) {
    const key = `${one.personId} ${one.day}`;
    byDay.set(key, [...(byDay.get(key) ?? []), one]);
  }
  const days = Array.from({ length: wish.days }, (_, index) => addDays(wish.from, index)).filter(
    (day) =>
      isWorkingDay(day, holidays) && (wish.periodEndsOn === null || day <= wish.periodEndsOn),
  );
  return days.flatMap((day) => {
    const daysLeft =
      wish.periodEndsOn === null ? null : workingDaysLeft(day, wish.periodEndsOn, holidays);
    return crews
      .flatMap((crew) => slotsOfDay(crew, day, byDay.get(`${crew.id} ${day}`) ?? [], wish, hours))
      .map((slot): Slot => ({ ...slot, daysLeft }))
      .toSorted(
        (a, b) =>
          a.beginMin - b.beginMin || a.wayMin - b.wayMin || (a.personId < b.personId ? -1 : 1),
      );
  });
}
