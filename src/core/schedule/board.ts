import { sayLength, sayMin } from '../base/clock';
import { addDays } from '../base/day';
import { plainText } from '../base/plain-text';
import { type Hours } from '../office/hours';
import { travelMin } from '../office/travel';
import { sayDay } from '../report/calendar';
import { type Appointment, type Crew, endOf, inOrder } from './appointment';
import { daylightOf } from './daylight';

/** The day of one person. */
export type BoardDay = {
  readonly day: string;
  readonly cards: readonly Appointment[];
  /** What is wrong with it, in sentences. */
  readonly says: readonly string[];
};

export type BoardRow = { readonly crew: Crew; readonly days: readonly BoardDay[] };
export type Board = {
  readonly days: readonly { readonly day: string; readonly name: string }[];
  readonly rows: readonly BoardRow[];
};

const DAYS = 7;
/** A day that is longer than this from the first to the last is too long, minutes. */
const LONG_MIN = 10 * 60;
/** Where nobody knows where a house is, the sun and the clock may be so far apart. */
const SUN_SLACK_MIN = 30;

/** The days of a week, from its Monday. */
export function weekOf(day: string): string[] {
  const back = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
  return Array.from({ length: DAYS }, (_, index) => addDays(day, index - back));
}

const nameOf = ({ title }: Appointment) => plainText(title);

/** What stands between two jobs that come one after the other. */
function sayBetween(before: Appointment, after: Appointment, { travel }: Hours): string[] {
  const free = after.beginMin - endOf(before);
  const names = `${nameOf(before)} and ${nameOf(after)}`;
  if (free < 0) return [`${names} overlap by ${sayLength(-free)}.`];
  const way = travelMin(before.place, after.place, travel);
  if (way <= free) return [];
  const reckoned = before.place && after.place ? '' : ', estimated without knowing where they are';
  return [
    `Between ${names} there ${free === 0 ? 'is no time' : `are ${sayLength(free)}`}, and the drive takes ${sayLength(way)}${reckoned}.`,
  ];
}

function sayDaylight(one: Appointment): string[] {
  const { riseMin, setMin } = daylightOf(one.day, one.place, one.offsetMin);
  const slack = one.place ? 0 : SUN_SLACK_MIN;
  if (endOf(one) > setMin + slack)
    return [`${nameOf(one)} ends at ${sayMin(endOf(one))}, after dark.`];
  return one.beginMin < riseMin - slack
    ? [`${nameOf(one)} begins at ${sayMin(one.beginMin)}, before it is light.`]
    : [];
}

function sayRoof(one: Appointment, { rain }: Hours): string[] {
  if (!one.isOnRoof || !rain) return [];
  return one.beginMin < rain.toMin && endOf(one) > rain.fromMin
    ? [
        `${nameOf(one)} is scoped from the roof, and between ${sayMin(rain.fromMin)} and ${sayMin(rain.toMin)} it often rains here.`,
      ]
    : [];
}

/**
 * What is wrong with a day: times that meet, ways that are too long, dark, rain on a roof, too much. Of a day that is
 * done nothing can be mended, and nothing is said.
 */
export function sayOfDay(cards: readonly Appointment[], hours: Hours): string[] {
  const list = inOrder(cards);
  const [first] = list;
  if (!first || list.every(({ isDone }) => isDone)) return [];
  const end = Math.max(...list.map(endOf));
  const long = end - first.beginMin;
  return [
    ...list.slice(1).flatMap((after, index) => sayBetween(list[index]!, after, hours)),
    ...list.flatMap(sayDaylight),
    ...list.flatMap((one) => sayRoof(one, hours)),
    ...(long > LONG_MIN
      ? [`The day is ${sayLength(long)} long, from ${sayMin(first.beginMin)} to ${sayMin(end)}.`]
      : []),
  ];
}

/** A week by person: everybody who scopes, and whoever has a job in it all the same. */
export function composeBoard(
  crews: readonly Crew[],
  list: readonly Appointment[],
  week: readonly string[],
  hours: Hours,
): Board {
  const byKey = new Map<string, Appointment[]>();
  for (const one of list) {
    const key = `${one.personId} ${one.day}`;
    byKey.set(key, [...(byKey.get(key) ?? []), one]);
  }
  const known = new Set(crews.map(({ id }) => id));
  const others = [...new Set(list.map(({ personId }) => personId))]
    .filter((id) => !known.has(id))
    .map((id): Crew => ({ id, name: id || 'Unassigned', home: null }));
  return {
    days: week.map((day) => ({ day, name: sayDay(day) })),
    rows: [...crews, ...others].map((crew) => ({
      crew,
      days: week.map((day): BoardDay => {
        const cards = inOrder(byKey.get(`${crew.id} ${day}`) ?? []);
        return { day, cards, says: sayOfDay(cards, hours) };
      }),
    })),
  };
}
