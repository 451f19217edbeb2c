import Joi from 'joi';
import { id, prose } from '../../../base/joi';
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

export const flagKeys = {};
export const noteKeys = { note: prose().required() };
export const photoKeys = { photoIds: Joi.array().items(id()).min(1).max(200).required() };
export const retractKeys = { retracts: id().required() };
