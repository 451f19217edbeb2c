import type { EntryBase } from '../entry-base';

/** One press: something is here, to be settled by a later entry that replaces it. */
export type FlagEntry = EntryBase & { readonly kind: 'flag' };
/** Words with no finding in them. */
export type NoteEntry = EntryBase & { readonly kind: 'note'; readonly note: string };
/** Stills with no finding in them. */
export type PhotoEntry = EntryBase & {
  readonly kind: 'photo';
  readonly photoIds: readonly string[];
};
/** Takes one entry back and restores what that one had replaced. */
export type RetractEntry = EntryBase & { readonly kind: 'retract'; readonly retracts: string };
