import { sayTimeOf } from '#core/base/clock';
import { sayDay } from '#core/report/calendar';

/** A version of the report, as lists show it. */
export type IssuedVersion = {
  readonly number: number;
  readonly issuedAt: string;
  readonly headline: string;
  readonly reason: string;
  readonly seal: string;
};

/** A moment in the offset that it carries: "Fri 6 Nov, 2:05 pm". */
export function sayAt(instant: string): string {
  return `${sayDay(instant.slice(0, 10))}, ${sayTimeOf(instant)}`;
}
