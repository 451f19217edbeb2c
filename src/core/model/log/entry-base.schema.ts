import Joi from 'joi';
import { flag, id, instant, length, line, oneOf, prose } from '../../base/joi';
import { CERTAINTIES, PASSES } from '../../catalogue/vocabulary';

export const baseKeys = {
  id: id().required(),
  at: instant().required(),
  deviceAt: instant(),
  pass: oneOf(PASSES).required(),
  readingFt: length().allow(null).required(),
  note: prose(),
  photoIds: Joi.array().items(id()).max(200),
  audioId: id(),
  certainty: oneOf(CERTAINTIES),
  replaces: id(),
  secondLook: Joi.object({ by: line().required(), at: instant().required(), heard: flag() }),
};
