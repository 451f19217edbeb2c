import Joi from 'joi';
import { id, length, line, oneOf, prose, words } from '../../base/joi';
import { FLOORS, FOUNDATIONS, HISTORY_KINDS, OCCUPANCIES } from './property';

export const positionSchema = Joi.object({
  lat: Joi.number().min(-90).max(90).required(),
  lon: Joi.number().min(-180).max(180).required(),
});

export const propertySchema = Joi.object({
  address: words().required(),
  position: positionSchema,
  yearBuilt: Joi.number().integer().min(1600).max(2200),
  households: Joi.number().integer().min(0).max(10_000).required(),
  bathrooms: Joi.number().min(0).max(1000),
  occupancy: oneOf(OCCUPANCIES).required(),
  foundation: oneOf(FOUNDATIONS).required(),
  frontFaces: line(40),
  lowestFloor: oneOf(FLOORS),
  sharedLine: Joi.boolean(),
  rainTiedIn: Joi.boolean(),
  proofAtSale: Joi.boolean(),
  sellerSays: prose(),
  serviceCover: prose(),
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
