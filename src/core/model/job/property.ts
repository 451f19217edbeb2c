import Joi from 'joi';
import { id, length, line, oneOf, prose, words } from '../../base/joi';

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
  /** What was seen on the walk over the line, before the camera gave it a footage. */
  readonly surroundings?: readonly Surrounding[];
};

/** Something over or near the line: tree, hedge, sunken-ground, wet-ground, buried-cleanout … */
export type Surrounding = {
  readonly id: string;
  readonly what: string;
  /** Where it stands, in words ("by the driveway"). */
  readonly where: string;
  /** Distance to the side of the line, feet. */
  readonly offsetFt?: number;
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
  surroundings: Joi.array()
    .items(
      Joi.object({
        id: id().required(),
        what: words(80).required(),
        where: line().required(),
        offsetFt: length(),
      }),
    )
    .max(500),
});
