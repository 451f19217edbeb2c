import { memoOf } from '../base/memo';
import type { Assessment } from '../judge/assessment';
import { chosenPlan, ownPlan, type OwnWork } from '../model/job/plans';
import { expect, type Expectation } from './futures/expect';
import type { Future } from './futures/future';
import { futureOf } from './futures/future-of';
import { type GravitySum, sumsOfGravity } from './gravity';
import { type LookValue, valueLooks } from './look-value';
import { methodById } from './methods/index';
import { type OwnPlanned, planOwn } from './own-plan';
import {
  paysBackIn,
  type Pick as PlanPick,
  pickPlan,
  riskWeight,
  weigh,
  type Weighing,
} from './pick';
import { planAll } from './plans/chert-plans';
import type { Plan, PlanId } from './plans/plan';
import { type Refusal, refusalsOf } from './refusals';
import { type Site, siteOf } from './site';

/** The plan chosen over Chert's pick, and whether it is still what it was chosen for. */
export type Chosen = {
  readonly planId: PlanId;
  readonly reason: string;
  readonly decisionId: string;
  /** What has changed since; empty when it stands. */
  readonly changed: readonly string[];
};

/** Everything that follows from the findings: plans, what they leave and refuse, futures and the pick. */
export type Repair = {
  readonly site: Site;
  readonly plans: readonly Plan[];
  /** The inspector's own plan and the rules that it breaks; `null` while there is none. */
  readonly own: OwnPlanned | null;
  readonly futures: readonly Future<PlanId>[];
  readonly expectations: ReadonlyMap<PlanId, Expectation>;
  readonly weighing: Weighing;
  readonly pick: PlanPick;
  readonly chosen: Chosen | null;
  /** The end of the year by which fixing has cost no more than keeping it running; `null`: not within 30. */
  readonly paysBackYear: number | null;
  readonly refusals: ReadonlyMap<PlanId, readonly Refusal[]>;
  readonly gravity: readonly GravitySum[];
  readonly looks: readonly LookValue[];
};

/**
 * The one plan that every document, sheet and step goes by: the inspector's choice while it stands, else the
 * recommended one.
 */
export function planToTell({
  plans,
  chosen,
  pick,
}: Pick<Repair, 'plans' | 'chosen' | 'pick'>): Plan {
  const of = (id: string) => plans.find((plan) => plan.id === id);
  return (chosen?.changed.length === 0 ? of(chosen.planId) : undefined) ?? of(pick.planId)!;
}

/** What a plan is, word by word: a choice over it stands as long as these are the same. */
export function evidenceOfPlan({ works }: Plan): string[] {
  return works.map(
    ({ method, lineId, fromFt, toFt }) =>
      `${methodById(method).name}, ${fromFt.toFixed(1)} to ${toFt.toFixed(1)} ft${lineId === 'main-line' ? '' : `, ${lineId}`}`,
  );
}

function chosenOf(assessment: Assessment, plans: readonly Plan[]): Chosen | null {
  const decision = chosenPlan(assessment.inspection.decisions);
  if (!decision) return null;
  const plan = plans.find(({ id }) => id === decision.planId);
  const now = plan ? evidenceOfPlan(plan) : [];
  const changed = plan
    ? [
        ...decision.evidence.filter((word) => !now.includes(word)).map((word) => `was ${word}`),
        ...now.filter((word) => !decision.evidence.includes(word)).map((word) => `now ${word}`),
      ]
    : ['that plan is no longer there'];
  return {
    planId: decision.planId as PlanId,
    reason: decision.reason,
    decisionId: decision.id,
    changed,
  };
}

/** Picks among Chert's own plans; the inspector's is weighed and shown beside them. */
function pickAt(
  plans: readonly Plan[],
  expectations: Repair['expectations'],
  weighing: Weighing,
): PlanPick {
  const weighed = weigh(
    plans.map((plan) => ({ plan, expectation: expectations.get(plan.id)! })),
    weighing,
  );
  return {
    ...pickPlan(
      weighed.filter(({ planId }) => planId !== 'own'),
      weighing,
    ),
    weighed,
  };
}

/** The same repair weighed over another horizon: plans and futures stay as they are. */
export function atHorizon(repair: Repair, horizonYears: number): Repair {
  const weighing = { ...repair.weighing, horizonYears };
  return { ...repair, weighing, pick: pickAt(repair.plans, repair.expectations, weighing) };
}

/** What follows from a set of plans: how each goes on, what it refuses, and which is picked. */
function followFrom(
  { site, looks, weighing }: Pick<Repair, 'site' | 'looks' | 'weighing'>,
  plans: readonly Plan[],
) {
  const futures = plans.map((plan) => futureOf(site, plan, looks));
  const { discountRate } = site.assumptions;
  const expectations = new Map(
    futures.map((future) => [future.planId, expect(future, discountRate)] as const),
  );
  return {
    plans,
    futures,
    expectations,
    pick: pickAt(plans, expectations, weighing),
    refusals: new Map(plans.map((plan) => [plan.id, refusalsOf(site, plan)] as const)),
  };
}

/** The same repair with another plan of the inspector's own; `null` takes it out. */
export function withOwnPlan(repair: Repair, works: readonly OwnWork[] | null): Repair {
  const { site } = repair;
  const own = works ? planOwn(site, works) : null;
  const three = repair.plans.filter(({ id }) => id !== 'own');
  return { ...repair, own, ...followFrom(repair, own ? [...three, own.plan] : three) };
}

/** Works out repair once for what was assessment. A pure function. */
export const repairOf = memoOf((assessment: Assessment): Repair => {
  const site = siteOf(assessment);
  const { job, decisions } = assessment.inspection;
  const works = ownPlan(decisions)?.works;
  const own = works ? planOwn(site, works) : null;
  const three = planAll(site);
  const weighing: Weighing = {
    horizonYears: assessment.settings.horizonYears,
    weight: riskWeight(job.profile, site.assumptions),
    findings: site.owned,
  };
  const looks = valueLooks(site);
  const all = followFrom({ site, looks, weighing }, own ? [...three, own.plan] : three);
  return {
    site,
    own,
    weighing,
    ...all,
    chosen: chosenOf(assessment, all.plans),
    paysBackYear: paysBackIn(
      all.expectations.get('fix-failing')!,
      all.expectations.get('keep-running')!,
    ),
    gravity: sumsOfGravity(site),
    looks,
  };
});
