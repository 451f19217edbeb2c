import { memoOf } from '../base/memo';
import type { Derived } from '../derive';
import { chosenPlan, ownPlan } from '../job/plans';
import { expect, type Expectation } from './futures/expect';
import type { Future } from './futures/future';
import { futureOf } from './futures/future-of';
import { type GravitySum, sumsOfGravity } from './gravity';
import { type LookValue, valueLooks } from './look-value';
import { methodById } from './methods/index';
import { type OwnPlanned, planOwn } from './own-plan';
import { paysBackIn, type Pick, pickPlan, riskWeight, weigh, type Weighing } from './pick';
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
  readonly pick: Pick;
  readonly chosen: Chosen | null;
  /** The end of the year by which fixing has cost no more than keeping it running; `null`: not within 30. */
  readonly paysBackYear: number | null;
  readonly refusals: ReadonlyMap<PlanId, readonly Refusal[]>;
  readonly gravity: readonly GravitySum[];
  readonly looks: readonly LookValue[];
};

/** What a plan is, word by word: a choice over it stands as long as these are the same. */
export function evidenceOfPlan({ works }: Plan): string[] {
  return works.map(({ method, lineId, fromFt, toFt }) =>
    `${methodById(method).name}, ${fromFt.toFixed(1)} to ${toFt.toFixed(1)} ft${lineId === 'main-line' ? '' : `, ${lineId}`}`,
  );
} // prettier-ignore

function chosenOf(derived: Derived, plans: readonly Plan[]): Chosen | null {
  const decision = chosenPlan(derived.inspection.decisions);
  if (!decision) return null;
  const plan = plans.find(({ id }) => id === decision.planId);
  const now = plan ? evidenceOfPlan(plan) : [];
  const changed = plan
    ? [
        ...decision.evidence.filter((word) => !now.includes(word)).map((word) => `was ${word}`),
        ...now.filter((word) => !decision.evidence.includes(word)).map((word) => `now ${word}`),
      ]
    : ['that plan is no longer there'];
  return { planId: decision.planId as PlanId, reason: decision.reason, decisionId: decision.id, changed }; // prettier-ignore
}

/** Works out repair once for what was derived. A pure function. */
export const repairOf = memoOf((derived: Derived): Repair => {
  const site = siteOf(derived);
  const { job, decisions } = derived.inspection;
  const own = ownPlan(decisions);
  const ownPlanned = own ? planOwn(site, own.works) : null;
  const three = planAll(site);
  const plans = ownPlanned ? [...three, ownPlanned.plan] : three;
  const futures = plans.map((plan) => futureOf(site, plan));
  const { discountRate } = site.assumptions;
  const expectations = new Map(futures.map((future) => [future.planId, expect(future, discountRate)]));
  const weighing: Weighing = {
    horizonYears: derived.settings.horizonYears,
    weight: riskWeight(job.profile, site.assumptions),
    findings: site.owned,
  };
  // The inspector's own plan is shown beside the others; Chert picks among its own.
  const weighed = weigh(
    plans.map((plan) => ({ plan, expectation: expectations.get(plan.id)! })),
    weighing,
  );
  return {
    site,
    plans,
    own: ownPlanned,
    futures,
    expectations,
    weighing,
    pick: {
      ...pickPlan(weighed.filter(({ planId }) => planId !== 'own'), weighing),
      weighed,
    },
    chosen: chosenOf(derived, plans),
    paysBackYear: paysBackIn(expectations.get('fix-failing')!, expectations.get('keep-running')!),
    refusals: new Map(plans.map((plan) => [plan.id, refusalsOf(site, plan)])),
    gravity: sumsOfGravity(site),
    looks: valueLooks(site),
  };
}); // prettier-ignore
