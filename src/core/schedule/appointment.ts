import type { Place } from '../office/travel';

/** A job as the schedule sees it. */
export type Appointment = {
  readonly id: string;
  readonly title: string;
  readonly client: string;
  /** Whose it is: an account's id where Chert has people, else the name that the job gives. */
  readonly personId: string;
  /** `YYYY-MM-DD`, where the house is. */
  readonly day: string;
  /** Minutes from midnight. */
  readonly beginMin: number;
  readonly lengthMin: number;
  /** How far the clock there is ahead of UTC, minutes. */
  readonly offsetMin: number;
  readonly place: Place | null;
  /** Whether somebody has to go on the roof. */
  readonly isOnRoof: boolean;
  /** Whether it was scoped already: it is not moved any more. */
  readonly isDone: boolean;
  readonly periodEndsOn: string | null;
};

/** Somebody who scopes. */
export type Crew = {
  readonly id: string;
  readonly name: string;
  readonly home: Place | null;
};

export const endOf = ({ beginMin, lengthMin }: Appointment): number => beginMin + lengthMin;

/** Appointments of one person and day in the order in which they begin. */
export const inOrder = (list: readonly Appointment[]): readonly Appointment[] =>
  list.toSorted((a, b) => a.beginMin - b.beginMin || (a.id < b.id ? -1 : 1));
