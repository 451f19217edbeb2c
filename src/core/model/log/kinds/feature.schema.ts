import Joi from 'joi';
import { clock, length, line, oneOf } from '../../../base/joi';
import { FEATURES } from '../../../catalogue/features/index';

export const featureKeys = {
  feature: oneOf(FEATURES).required(),
  clock: clock(),
  angleDeg: Joi.number().min(0).max(360),
  turns: line(),
  serves: line(),
  dropFt: length(),
};
