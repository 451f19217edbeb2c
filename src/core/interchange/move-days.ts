const DAY_MS = 24 * 3600 * 1000;
const WEEK_MS = 7 * DAY_MS;

/**
 * Whole weeks, in days, that bring an appointment near now: to the week behind when it has been kept,
 * to the week ahead when it waits. Weekdays stay as they are.
 */
export function daysToNow(scheduledFor: string, isKept: boolean, nowMs: number): number {
  const weeks = (nowMs - Date.parse(scheduledFor)) / WEEK_MS;
  return 7 * (isKept ? Math.floor(weeks) : Math.ceil(weeks));
}

/** Moves every day and instant in a value by whole days; clock times and offsets stay as they are. */
export function moveDays<T>(value: T, days: number): T {
  return moved(value, days) as T;
}

function moved(value: unknown, days: number): unknown {
  if (typeof value === 'string') {
    const match = /^(\d{4}-\d{2}-\d{2})(T.+)?$/.exec(value);
    if (!match) return value;
    const day = new Date(Date.parse(`${match[1]}T00:00:00Z`) + days * DAY_MS);
    return day.toISOString().slice(0, 10) + (match[2] ?? '');
  }
  if (Array.isArray(value)) return value.map((item) => moved(item, days));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, moved(item, days)]));
}
