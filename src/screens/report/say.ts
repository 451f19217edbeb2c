import { sayDay } from '#core/report/calendar';

/** A version of the report, as lists show it. */
export type IssuedVersion = {
  readonly number: number;
  readonly issuedAt: string;
  readonly headline: string;
  readonly reason: string;
  readonly seal: string;
};

/** A moment in the offset that it carries: "Fri 6 Nov, 14:05". */
export function sayAt(instant: string): string {
  return `${sayDay(instant.slice(0, 10))}, ${instant.slice(11, 16)}`;
}
