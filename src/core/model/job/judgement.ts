import Joi from 'joi';
import { oneOf } from '../../base/joi';
import { type Job, type Profile, PROFILES, RESPONSIBILITIES } from './job';
import { type Settings, settingsSchema } from './settings';

/** How an inspector judges: what a new job begins with. */
export type Judgement = {
  readonly profile: Profile;
  readonly responsibility: Job['responsibility'];
  /** Settings that differ from Chert's. */
  readonly settings: Partial<Settings>;
};

export const DEFAULT_JUDGEMENT: Judgement = {
  profile: 'maintain-first',
  responsibility: 'to-main',
  settings: {},
};

export const judgementSchema = Joi.object({
  profile: oneOf(PROFILES).required(),
  responsibility: oneOf(RESPONSIBILITIES).required(),
  settings: settingsSchema.required(),
});
