import { AIDS, type Confirmation, type EndReason } from '../../../catalogue/vocabulary';
import type { EntryBase } from '../entry-base';

/** The head or the aid was changed in the middle of a run. */
export type SetupEntry = EntryBase & {
  readonly kind: 'setup';
  readonly head?: string;
  readonly aid?: (typeof AIDS)[number];
  readonly headLevels?: boolean;
};

/** As far as this run went, why, and how it is known. */
export type EndEntry = EntryBase & {
  readonly kind: 'end';
  readonly reason: EndReason;
  readonly confirmedBy: Confirmation;
  /** Roughly what remains beyond, feet. */
  readonly remainderFt?: number;
};

/** The head is back at the datum; the reading is what the counter then shows. */
export type HomeEntry = EntryBase & {
  readonly kind: 'home';
  readonly readingFt: number | null;
  /** Whether somebody looked twice at a reading that is far from the zero, and it stands. */
  readonly accepted?: boolean;
};
