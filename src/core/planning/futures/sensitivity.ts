import {
  ASSUMPTION_KEYS,
  ASSUMPTION_TABLE,
  type AssumptionKey,
  type Assumptions,
} from '../../model/job/assumptions';
import { pickPlan, riskWeight, weigh } from '../pick';
import type { PlanId } from '../plans/plan';
import type { Repair } from '../repair';
import { expect } from './expect';
import { futureOf } from './future-of';

/** How far the answer moves when one assumption goes from its low to its high value. */
export type Sway = {
  readonly key: AssumptionKey | 'horizonYears';
  readonly says: string;
  readonly low: number;
  readonly high: number;
  /** How far the pick's lead over the next plan moves, dollars. */
  readonly moves: number;
  readonly pickAtLow: PlanId;
  readonly pickAtHigh: PlanId;
};

/** These change what the works are, or which cause is likely, and not how a plan goes on. */
const NOT_OF_FUTURES: readonly AssumptionKey[] = ['replaceBeyondFt', 'causeBelly', 'causeOther'];

/** Which assumption moves the answer most, the most moving first. The works stay as they are. */
export function findSways({
  site,
  plans,
  looks,
  weighing,
}: Pick<Repair, 'site' | 'plans' | 'looks' | 'weighing'>): Sway[] {
  const { profile } = site.assessment.inspection.job;
  const lead = (assumptions: Assumptions, horizonYears: number) => {
    const there = { ...site, assumptions };
    const weighed = weigh(
      plans.map((plan) => ({
        plan,
        expectation: expect(futureOf(there, plan, looks), assumptions.discountRate),
      })),
      { ...weighing, horizonYears, weight: riskWeight(profile, assumptions) },
    );
    return { weighed, pick: pickPlan(weighed, weighing).planId };
  };
  const base = lead(site.assumptions, weighing.horizonYears);
  const next = base.weighed
    .filter(({ planId, ruledOut }) => planId !== base.pick && ruledOut === null)
    .sort((a, b) => a.objective - b.objective)[0];
  const leadOf = ({ weighed }: ReturnType<typeof lead>) => {
    const of = (id: PlanId | undefined) =>
      weighed.find(({ planId }) => planId === id)?.objective ?? 0;
    return next ? of(next.planId) - of(base.pick) : of(base.pick);
  };
  const swayOf = (
    key: Sway['key'],
    says: string,
    low: number,
    high: number,
    at: (value: number) => ReturnType<typeof lead>,
  ): Sway => {
    const [atLow, atHigh] = [at(low), at(high)];
    return {
      key,
      says,
      low,
      high,
      moves: Math.abs(leadOf(atHigh) - leadOf(atLow)),
      pickAtLow: atLow.pick,
      pickAtHigh: atHigh.pick,
    };
  };
  const sways = ASSUMPTION_KEYS.filter((key) => !NOT_OF_FUTURES.includes(key)).map((key) => {
    const { low, high, says } = ASSUMPTION_TABLE[key];
    return swayOf(key, says, low, high, (value) =>
      lead({ ...site.assumptions, [key]: value }, weighing.horizonYears),
    );
  });
  const stay = swayOf('horizonYears', 'How long the buyer stays', 3, 20, (value) =>
    lead(site.assumptions, value),
  );
  return [stay, ...sways].filter(({ moves }) => moves >= 1).sort((a, b) => b.moves - a.moves);
}
