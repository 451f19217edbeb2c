import Joi from 'joi';
import { day, flag, id, oneOf } from '../../base/joi';
import { PAPERS } from './report-options';

export const reportOptionsSchema = Joi.object({
  prices: flag(),
  nameProfile: flag(),
  passLine: flag(),
  paper: oneOf(PAPERS),
  comparedWith: id().allow(null),
});

const days = () => Joi.array().items(day()).max(200).required();
export const holidaysSchema = Joi.object({ added: days(), removed: days() });
