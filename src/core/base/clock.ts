/** Minutes from midnight of an instant where it is: `2026-11-03T09:30:00-08:00` is 570. */
export const minOf = (instant: string): number =>
  Number(instant.slice(11, 13)) * 60 + Number(instant.slice(14, 16));

/** A time of day: "9:05 am". */
export function sayMin(minutes: number): string {
  const [hour, minute] = [Math.floor(minutes / 60) % 24, Math.round(minutes) % 60];
  return `${((hour + 11) % 12) + 1}:${String(minute).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`;
}

/** The time of day of an instant, in the offset that it carries: "9:30 am". */
export const sayTimeOf = (instant: string): string => sayMin(minOf(instant));

/** A length of time: "1 h 15 min". */
export function sayLength(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes) % 60];
  return [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${rest} min` : '']
    .filter(Boolean)
    .join(' ');
}
