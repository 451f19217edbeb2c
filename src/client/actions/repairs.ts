import { ulid } from 'ulid';
import type { JobOnDevice } from '#client/job-on-device';
import type { Inspection } from '#core/model/job/inspection';
import type { Profile } from '#core/model/job/job';
import type { OwnWork, QuoteDecision } from '#core/model/job/plans';
import type { Settings } from '#core/model/job/settings';
import type { Plan } from '#core/planning/plans/plan';
import { evidenceOfPlan } from '#core/planning/repair';
import { deciding } from './decide';

/** The inspector's own plan is one per job: it is changed in place. */
const OWN_PLAN = 'own-plan';

/** What can be done on Repairs, each as a change that the job keeps. */
export function repairActions(change: JobOnDevice['change'], inspection: Inspection) {
  const { put, drop } = deciding(change);
  const ownId = inspection.decisions.findLast(({ kind }) => kind === 'own-plan')?.id ?? OWN_PLAN;
  return {
    drop,
    choosePlan: (plan: Plan, reason: string) =>
      put({
        id: ulid(),
        kind: 'choose-plan',
        reason,
        planId: plan.id,
        evidence: evidenceOfPlan(plan),
      }),
    keepOwn: (works: readonly OwnWork[]) => put({ id: ownId, kind: 'own-plan', reason: '', works }),
    dropOwn: () => drop(ownId),
    keepQuote: (quote: Omit<QuoteDecision, 'id' | 'kind' | 'reason'>) =>
      put({ ...quote, id: ulid(), kind: 'contractor-quote', reason: '' }),
    set: <K extends keyof Settings>(key: K, value: Settings[K] | null) =>
      change({ what: 'facts', facts: { settings: { [key]: value } } }),
    setProfile: (profile: Profile) => change({ what: 'facts', facts: { job: { profile } } }),
  };
}

export type RepairActions = ReturnType<typeof repairActions>;
