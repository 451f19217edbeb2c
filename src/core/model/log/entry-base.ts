import { type Certainty, type Pass } from '../../catalogue/vocabulary';

/** What every entry carries, whatever its kind. */
export type EntryBase = {
  readonly id: string;
  /** When it was observed, ISO 8601 with offset. */
  readonly at: string;
  /** What the device's own clock said, where it was off or set back. */
  readonly deviceAt?: string;
  readonly pass: Pass;
  /** The counter, feet, 0 or more; `null` when nobody said it. */
  readonly readingFt: number | null;
  readonly note?: string;
  readonly photoIds?: readonly string[];
  readonly audioId?: string;
  /** Absent means confirmed. */
  readonly certainty?: Certainty;
  /** Id of the entry that this one corrects or settles. */
  readonly replaces?: string;
  /**
   * Set on what was written down or changed over a recording: by whom, and when. `heard`: it was said to the
   * recording when that was made.
   */
  readonly secondLook?: { readonly by: string; readonly at: string; readonly heard?: boolean };
};
