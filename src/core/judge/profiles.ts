import { derive, type Derived } from '../derive';
import type { Profile } from '../job/job';
import { compareJudgements, type Rejudged } from './compare';
import type { Overall } from './verdict';

/** Where the two judgement profiles part over one job. */
export type ProfileComparison = {
  readonly overall: Readonly<Record<Profile, Overall>>;
  /** What the other profile makes of the findings, from this job's to the other. */
  readonly differ: readonly Rejudged[];
  readonly other: Profile;
};

/** Judges a job by the profile that it does not have, and tells where the two differ. */
export function compareProfiles(derived: Derived): ProfileComparison {
  const { inspection } = derived;
  const { profile } = inspection.job;
  const other = profile === 'maintain-first' ? 'renew-first' : 'maintain-first';
  const judged = derive({ ...inspection, job: { ...inspection.job, profile: other } });
  const overall = { [profile]: derived.overall, [other]: judged.overall } as const;
  return {
    overall: overall as Record<Profile, Overall>,
    differ: compareJudgements(derived, judged),
    other,
  };
}
