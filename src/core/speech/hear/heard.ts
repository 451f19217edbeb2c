import type { AccessKind } from '../../catalogue/access/index';
import type { Facing } from '../../catalogue/vocabulary';
import type { Run } from '../../model/job/run';
import type { EntryDraft } from '../../model/log/entry';
import type { ToldFacts } from '../statements/statement';
import type { Sentence } from './sentences';

/** A draft entry with the words that it was heard in. */
export type HeardEntry = EntryDraft & { readonly id: string; readonly sentence: Sentence };

/** One push of the camera, as it was told. */
export type HeardRun = {
  readonly access: AccessKind | null;
  readonly accessWords: string;
  readonly facing: Facing;
  readonly zero?: NonNullable<NonNullable<ToldFacts['run']>['zero']>;
  readonly cleanedBefore?: Run['cleanedBefore'];
  readonly waterAtStart?: NonNullable<Run['waterAtStart']>;
  readonly outcome?: NonNullable<Run['outcome']>;
  readonly entries: readonly HeardEntry[];
  /** Drafts that were taken back or put otherwise later: they stand for nothing. */
  readonly withdrawn: readonly HeardEntry[];
};

/** An opening that was tried and not used. */
export type RefusedOpening = {
  readonly kind: AccessKind;
  readonly words: string;
  readonly why: string;
};

/** What a wrap-up says that the draft does not, or otherwise. */
export type Difference = {
  readonly says: string;
  /** What the draft has in its place; `null` where it has nothing. */
  readonly logged: string | null;
};

export type Heard = {
  readonly runs: readonly HeardRun[];
  readonly facts: Pick<ToldFacts, 'property'> & {
    readonly accessPoints?: readonly RefusedOpening[];
  };
  readonly differences: readonly Difference[];
  /** Sentences of which nothing was made. */
  readonly unread: readonly Sentence[];
};
