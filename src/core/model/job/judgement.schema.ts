import Joi from 'joi';
import { oneOf } from '../../base/joi';
import { PROFILES, RESPONSIBILITIES } from './job';
import { settingsSchema } from './settings.schema';

export const judgementSchema = Joi.object({
  profile: oneOf(PROFILES).required(),
  responsibility: oneOf(RESPONSIBILITIES).required(),
  settings: settingsSchema.required(),
});
