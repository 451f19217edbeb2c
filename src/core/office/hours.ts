import { type Travel, USUAL_TRAVEL } from './travel';

/** When a firm works and by what its ways are reckoned. Minutes count from midnight. */
export type Hours = {
  readonly startMin: number;
  readonly endMin: number;
  /** Hours in which it often rains here: nobody goes on a roof then. `null`: none. */
  readonly rain: { readonly fromMin: number; readonly toMin: number } | null;
  readonly travel: Travel;
};

export const USUAL_HOURS: Hours = {
  startMin: 8 * 60,
  endMin: 17 * 60 + 30,
  rain: null,
  travel: USUAL_TRAVEL,
};

/** An instant at another day and time, in the offset that it has. */
export function movedTo(instant: string, day: string, minutes: number): string {
  const two = (value: number) => String(value).padStart(2, '0');
  const time = `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}:00`;
  return `${day}T${time}${instant.slice(19)}`;
}
