import { useDeferredValue, useMemo } from 'react';
import { assessed } from '#core/assess';
import { compareProfiles, type ProfileComparison } from '#core/assess-profiles';
import type { Assessment } from '#core/judge/assessment';
import type { Inspection } from '#core/model/job/inspection';

export type FindingsModel = {
  readonly assessment: Assessment;
  readonly profiles: ProfileComparison;
};

/** What the Findings screen shows; the other profile's judgement may follow a frame later. */
export function useFindings(inspection: Inspection): FindingsModel {
  const assessment = assessed(inspection);
  const later = useDeferredValue(assessment);
  const profiles = useMemo(() => compareProfiles(later), [later]);
  return { assessment, profiles };
}
