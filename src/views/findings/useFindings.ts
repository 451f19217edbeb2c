import { useDeferredValue, useMemo } from 'react';
import { derive, type Derived } from '#core/derive';
import type { Inspection } from '#core/job/inspection';
import type { Finding } from '#core/judge/finding';
import { compareProfiles, type ProfileComparison } from '#core/judge/profiles';
import { pipeAt } from '#core/judge/rules/scene';
import type { Segment } from '#core/lateral/segments';

export type FindingsModel = {
  readonly derived: Derived;
  readonly profiles: ProfileComparison;
};

/** What the Findings screen shows; the other profile's judgement may follow a frame later. */
export function useFindings(inspection: Inspection): FindingsModel {
  const derived = useMemo(() => derive(inspection), [inspection]);
  const later = useDeferredValue(derived);
  const profiles = useMemo(() => compareProfiles(later), [later]);
  return { derived, profiles };
}

/** The pipe that a finding lies in; `null` where there is none. */
export function pipeOf({ lateral, branches }: Derived, finding: Finding): Segment | null {
  return pipeAt({ laterals: [lateral, ...branches] }, finding);
}
