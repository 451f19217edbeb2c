import { type Job, type Profile } from './job';
import { type Settings } from './settings';

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
