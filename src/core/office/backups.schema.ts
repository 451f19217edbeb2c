import Joi from 'joi';
import { flag } from '../base/joi';

export const backupsSchema = Joi.object({
  atMin: Joi.number().integer().min(0).max(1439).allow(null).required(),
  days: Joi.number().integer().min(1).max(90).required(),
  leavesBuckets: flag().required(),
});
