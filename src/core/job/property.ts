import Joi from 'joi';
import { line, oneOf, prose, words } from '../base/joi';

export const OCCUPANCIES = ['occupied', 'vacant', 'unknown'] as const;
export const FOUNDATIONS = ['slab', 'crawlspace', 'basement', 'unknown'] as const;
export const HISTORY_KINDS = ['cleaned', 'repaired', 'lined', 'permit', 'backup'] as const;

/** The house whose lateral is scoped. */
export type Property = {
  readonly address: string;
  readonly yearBuilt?: number;
  readonly households: number;
  readonly bathrooms?: number;
  readonly occupancy: (typeof OCCUPANCIES)[number];
  readonly foundation: (typeof FOUNDATIONS)[number];
  readonly frontFaces?: string;
  readonly history?: readonly {
    readonly on?: string;
    readonly what: (typeof HISTORY_KINDS)[number];
    readonly note: string;
  }[];
};

export const propertySchema = Joi.object({
  address: words().required(),
  yearBuilt: Joi.number().integer().min(1600).max(2200),
  households: Joi.number().integer().min(0).max(10_000).required(),
  bathrooms: Joi.number().min(0).max(1000),
  occupancy: oneOf(OCCUPANCIES).required(),
  foundation: oneOf(FOUNDATIONS).required(),
  frontFaces: line(40),
  history: Joi.array()
    .items(
      Joi.object({ on: line(40), what: oneOf(HISTORY_KINDS).required(), note: prose().required() }),
    )
    .max(500),
});
