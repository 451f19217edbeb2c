import type { Edit } from '#core/model/job/edits';
import { type Hours, movedTo } from '#core/office/hours';
import type { Person } from '#core/office/roles';
import { hasRight } from '#core/office/roles';
import type { Appointment, Crew } from '#core/schedule/appointment';
import { MOST_STOPS, orderDay, type Stop } from '#core/schedule/day-order';

/** An appointment as the board has it: with the revision of its job, and its clock. */
export type Card = Appointment & { readonly rev: number };

/** Where a card is put. */
export type Put = Pick<Appointment, 'personId' | 'day' | 'beginMin'>;

/** A quarter of an hour. */
export const STEP_MIN = 15;
const LAST_MIN = 24 * 60 - STEP_MIN;

/** Where a card goes by a key while it is taken up; `null` for a key that moves nothing. */
export function putByKey(
  put: Put,
  key: string,
  days: readonly string[],
  crews: readonly Pick<Crew, 'id'>[],
): Put | null {
  const within = (index: number, count: number) => Math.min(count - 1, Math.max(0, index));
  const day = (by: number) => days[within(days.indexOf(put.day) + by, days.length)]!;
  const at = crews.findIndex(({ id }) => id === put.personId);
  const person = (by: number) => crews[within(at + by, crews.length)]?.id ?? put.personId;
  const time = (by: number) => Math.min(LAST_MIN, Math.max(0, put.beginMin + by * STEP_MIN));
  switch (key) {
    case 'ArrowLeft':
      return { ...put, day: day(-1) };
    case 'ArrowRight':
      return { ...put, day: day(1) };
    case 'ArrowUp':
      return { ...put, personId: person(-1) };
    case 'ArrowDown':
      return { ...put, personId: person(1) };
    case '+':
    case '=':
      return { ...put, beginMin: time(1) };
    case '-':
      return { ...put, beginMin: time(-1) };
    default:
      return null;
  }
}

const two = (value: number) => String(value).padStart(2, '0');
/** The end of an instant that says how far its clock is ahead: `-08:00`. */
const offsetText = (minutes: number) =>
  `${minutes < 0 ? '-' : '+'}${two(Math.floor(Math.abs(minutes) / 60))}:${two(Math.abs(minutes) % 60)}`;

/** The fields of its job that a move sets. */
export function editsOfMove(
  before: Card,
  put: Put,
  { hasPeople, nameOf }: { readonly hasPeople: boolean; readonly nameOf: (id: string) => string },
): Edit[] {
  const edits: Edit[] = [];
  if (put.day !== before.day || put.beginMin !== before.beginMin) {
    const anyTime = `${before.day}T00:00:00${offsetText(before.offsetMin)}`;
    edits.push({ path: ['job', 'scheduledFor'], value: movedTo(anyTime, put.day, put.beginMin) });
  }
  if (put.personId !== before.personId) {
    if (hasPeople)
      edits.push(
        put.personId === ''
          ? { path: ['job', 'assignedTo'] }
          : { path: ['job', 'assignedTo'], value: put.personId },
      );
    edits.push({ path: ['job', 'inspector'], value: nameOf(put.personId) });
  }
  return edits;
}

/** Why a card may not be put somewhere by whoever is signed in; `null` when it may. */
export function whyNotPut(who: Person | null, before: Card, put: Put): string | null {
  if (before.isDone) return 'It was scoped already: it stays where it was.';
  if (!who) return null;
  if (!hasRight(who.role, 'agree', before.personId === who.id))
    return 'It is somebody else’s job: the office moves it.';
  return put.personId !== before.personId && !hasRight(who.role, 'agree', false)
    ? 'Whose job it is, the office says.'
    : null;
}

/** A day's order in which it ends soonest, what is done left where it is; `null` where there is none better. */
export function shorterDay(
  cards: readonly Card[],
  home: Crew['home'],
  hours: Hours,
): { readonly puts: ReadonlyMap<string, number>; readonly savedMin: number } | null {
  if (cards.length < 2 || cards.length > MOST_STOPS) return null;
  const first = Math.min(...cards.map(({ beginMin }) => beginMin));
  const stops = cards.map(({ id, lengthMin, place, isDone, beginMin }): Stop => ({
    id,
    lengthMin,
    place,
    fromMin: isDone ? beginMin : Math.min(first, hours.startMin),
    toMin: isDone ? beginMin : LAST_MIN,
  }));
  const startMin = Math.min(first, hours.startMin);
  const asItIs = orderDay(
    cards.map(({ id, lengthMin, place, beginMin }) => ({
      id,
      lengthMin,
      place,
      fromMin: beginMin,
      toMin: beginMin,
    })),
    { startMin: 0, home },
    hours.travel,
  );
  const found = orderDay(stops, { startMin, home }, hours.travel);
  if (!found) return null;
  // People are told quarters of an hour: each begins at one, none before the one before it is done.
  let free = 0;
  const puts = new Map<string, number>();
  for (const { id, beginMin } of found.stops) {
    const stop = stops.find((one) => one.id === id)!;
    const late = Math.max(beginMin + free, stop.fromMin);
    const told = stop.fromMin === stop.toMin ? stop.fromMin : Math.ceil(late / STEP_MIN) * STEP_MIN;
    free = Math.max(0, told - beginMin);
    puts.set(id, told);
  }
  const endMin = found.endMin + free;
  const savedMin = (asItIs?.endMin ?? Infinity) - endMin;
  const isSame = cards.every(({ id, beginMin }) => puts.get(id) === beginMin);
  return isSame || savedMin < STEP_MIN ? null : { puts, savedMin };
}
