import { sayList } from '../base/numbers';
import type { Finding } from '../judge/finding';
import { type Assumptions } from '../model/job/assumptions';
import type { Profile } from '../model/job/job';
import { type Expectation } from './futures/expect';
import { sayMoney } from './money';
import type { Plan, PlanId } from './plans/plan';

/** A plan weighed over the buyer's horizon. */
export type Weighed = {
  readonly planId: PlanId;
  /** Present worth of all that it is expected to cost, backups included, dollars. */
  readonly expected: number;
  /** Chance of at least one backup, 0 to 1. */
  readonly backup: number;
  /** What that chance weighs beyond its bill, dollars. */
  readonly risk: number;
  /** The sum of both: the least is picked. */
  readonly objective: number;
  /** Why it cannot be picked, whatever it costs; `null` when it can. */
  readonly ruledOut: string | null;
};

export type Pick = {
  readonly planId: PlanId;
  readonly weighed: readonly Weighed[];
  /** Plans that these figures cannot tell from the one picked. */
  readonly close: readonly PlanId[];
  /** Why, in plain sentences. */
  readonly because: readonly string[];
};

/** What a sure backup weighs beyond its bill, by judgement profile, dollars. */
export function riskWeight(profile: Profile, assumptions: Assumptions): number {
  return profile === 'renew-first' ? assumptions.riskRenew : assumptions.riskMaintain;
}

export const PLAN_NAMES: Record<PlanId, string> = {
  'keep-running': 'Keep it running',
  'fix-failing': 'Fix what fails',
  renew: 'Renew what is worn',
  own: 'Your own',
};

export type Weighing = {
  readonly horizonYears: number;
  readonly weight: number;
  readonly findings: readonly Finding[];
};

/** Weighs plans: expected present cost over the horizon, and the stated weight on the chance of a backup. */
export function weigh(
  plans: readonly { readonly plan: Plan; readonly expectation: Expectation }[],
  { horizonYears, weight, findings }: Weighing,
): Weighed[] {
  return plans.map(({ plan, expectation }) => {
    const expected = expectation.present[horizonYears]!;
    const backup = expectation.backup[horizonYears]!;
    const unsettled = findings.filter(
      ({ id, action }) =>
        (action === 'urgent' || action === 'repair') && !plan.settles.includes(id),
    );
    const canBeSettled = ({ id }: Finding) =>
      plans.some(({ plan: one }) => one.settles.includes(id));
    const deferred = unsettled.filter(canBeSettled).map(({ number }) => String(number));
    return {
      planId: plan.id,
      expected,
      backup,
      risk: backup * weight,
      objective: expected + backup * weight,
      ruledOut:
        deferred.length === 0
          ? null
          : `it does not end what must be repaired (finding${deferred.length > 1 ? 's' : ''} ${sayList(deferred)})`,
    };
  });
}

/** A year or years. */
export const sayYears = (count: number) => (count === 1 ? 'one year' : `${count} years`);

/** A chance as people say it: "1 in 12", "no backup expected". */
export function sayChance(chance: number): string {
  if (chance < 0.005) return 'hardly any chance';
  if (chance > 0.95) return 'almost sure';
  const one = Math.round(1 / chance);
  return chance > 0.4 ? `${Math.round(chance * 10)} in 10` : `1 in ${one}`;
}

/** A lead smaller than this share of what it is a lead in says nothing, with planning figures. */
const CLOSE_RATIO = 0.1;

/** Whether another plan is dearer, by less than these figures can tell. */
const isClose = (other: Weighed, best: Weighed) => {
  const lead = other.objective - best.objective;
  return lead >= 0.5 && lead < CLOSE_RATIO * best.objective;
};

const closeTo = (best: Weighed, able: readonly Weighed[]): PlanId[] =>
  able.filter((other) => other !== best && isClose(other, best)).map(({ planId }) => planId);

/** Why the pick and not this one. */
function sayOther(other: Weighed, best: Weighed): string {
  const name = PLAN_NAMES[other.planId];
  if (other.ruledOut !== null) return `${name} is out: ${other.ruledOut}.`;
  const lead = other.objective - best.objective;
  if (Math.abs(lead) < 0.5) return `${name} costs the same.`;
  const risk = other.backup - best.backup;
  const chance =
    Math.abs(risk) < 0.05
      ? ''
      : risk > 0
        ? `, with a greater chance of a backup (${sayChance(other.backup)})`
        : `, though with less chance of a backup (${sayChance(other.backup)})`;
  return `${name} costs about ${sayMoney(lead)} more${chance}${isClose(other, best) ? ': too close to call by these figures' : ''}.`;
}

/** The plan with the least objective of those that may be picked; the first of equals, which does least. */
export function pickPlan(weighed: readonly Weighed[], { horizonYears, weight }: Weighing): Pick {
  const able = weighed.filter(({ ruledOut }) => ruledOut === null);
  const among = able.length > 0 ? able : weighed;
  const best = among.reduce((least, one) => (one.objective < least.objective - 0.5 ? one : least));
  const because = [
    `Over ${sayYears(horizonYears)}, ${PLAN_NAMES[best.planId]} is expected to cost ${sayMoney(best.expected)} in today’s money, backups counted.`,
    ...weighed.filter((one) => one !== best).map((other) => sayOther(other, best)),
    `The pick is the least of expected cost plus ${sayMoney(weight)} times the chance of a backup. A plan that leaves what must be repaired is never picked.`,
  ];
  return { planId: best.planId, weighed, close: closeTo(best, able), because };
}

/** The first year by whose end one plan has cost no more than another; `null` when none within the futures has. */
export function paysBackIn(dear: Expectation, cheap: Expectation): number | null {
  if (dear.spent[0]! <= cheap.spent[0]!) return 0;
  const year = dear.spent.findIndex((spent, index) => spent <= cheap.spent[index]!);
  return year < 0 ? null : year;
}
