const two = (value: number) => String(Math.trunc(Math.abs(value))).padStart(2, '0');

/** The day it is on this device, `YYYY-MM-DD`. */
export function localDay(date: Date): string {
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** A moment as ISO 8601 with the device's own offset, to the millisecond. */
export function localInstant(date: Date): string {
  const offsetMin = -date.getTimezoneOffset();
  const offset = `${offsetMin < 0 ? '-' : '+'}${two(offsetMin / 60)}:${two(offsetMin % 60)}`;
  const time = `${two(date.getHours())}:${two(date.getMinutes())}:${two(date.getSeconds())}`;
  return `${localDay(date)}T${time}.${String(date.getMilliseconds()).padStart(3, '0')}${offset}`;
}

/** What a date and a time field hold, as an instant with the device's offset on that day. */
export function instantOfFields(day: string, time: string): string {
  return localInstant(new Date(`${day}T${time || '09:00'}:00`)).replace('.000', '');
}

/** Minutes from midnight as a time field holds them: "09:05". */
export const timeOfMin = (minutes: number): string => `${two(minutes / 60)}:${two(minutes % 60)}`;

/** Minutes from midnight of what a time field holds; NaN of an empty one. */
export function minutesOf(time: string): number {
  const [hours = NaN, minutes = NaN] = time.split(':').map(Number);
  return hours * 60 + minutes;
}
