/** When backups are made while Chert runs, and how many of them stay. */
export type Backups = {
  /** Minutes from midnight, by the machine's own clock; `null`: a day after the last. */
  readonly atMin: number | null;
  /** The last one of so many days stays, 1 to 90; four weeks and twelve months stay as well. */
  readonly days: number;
  /** Whether what lies in a bucket is left there, and only named. */
  readonly leavesBuckets: boolean;
};

export const USUAL_BACKUPS: Backups = { atMin: null, days: 7, leavesBuckets: false };
