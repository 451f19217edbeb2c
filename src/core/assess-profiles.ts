import { assess } from './assess';
import type { Assessment } from './judge/assessment';
import { compareJudgements, type Rejudged } from './judge/compare';
import type { Overall } from './judge/verdict';
import type { Profile } from './model/job/job';

/** Where the two judgement profiles part over one job. */
export type ProfileComparison = {
  readonly overall: Readonly<Record<Profile, Overall>>;
  /** What the other profile makes of the findings, from this job's to the other. */
  readonly differ: readonly Rejudged[];
  readonly other: Profile;
};

/** Judges a job by the profile that it does not have, and tells where the two differ. */
export function compareProfiles(assessment: Assessment): ProfileComparison {
  const { inspection } = assessment;
  const { profile } = inspection.job;
  const other = profile === 'maintain-first' ? 'renew-first' : 'maintain-first';
  const judged = assess({ ...inspection, job: { ...inspection.job, profile: other } });
  const overall = { [profile]: assessment.overall, [other]: judged.overall } as const;
  return {
    overall: overall as Record<Profile, Overall>,
    differ: compareJudgements(assessment, judged),
    other,
  };
}
