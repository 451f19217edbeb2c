const INSTANT =
  /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]([01]\d|2[0-3]):[0-5]\d)$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether the text is a day of the calendar, `YYYY-MM-DD` (30 February is not). */
export function isDay(text: string): boolean {
  if (!DAY.test(text)) return false;
  const atMs = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(atMs) && new Date(atMs).toISOString().startsWith(text);
}

/** Whether the text is an instant, ISO 8601 with its offset. */
export function isInstant(text: string): boolean {
  const match = INSTANT.exec(text);
  return match !== null && isDay(match[1]!);
}

const DAY_MS = 86_400_000;
/** Midnight of a day at Greenwich, where no clock is ever changed, ms. */
const midnightMs = (day: string) => Date.parse(`${day}T00:00:00Z`);

/** The day so many days after another; before it, where `count` is below 0. */
export const addDays = (day: string, count: number): string =>
  new Date(midnightMs(day) + count * DAY_MS).toISOString().slice(0, 10);

/** Whole days from one day to another; below 0 where the other is before it. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((midnightMs(to) - midnightMs(from)) / DAY_MS);
