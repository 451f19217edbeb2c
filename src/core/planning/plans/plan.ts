import { type Range, totalRange } from '../../base/range';
import type { Finding } from '../../judge/finding';
import { creditWorks } from '../credit';
import { lackOf, withFirst } from '../first-works';
import { methodById } from '../methods/index';
import { priceWorks } from '../price-works';
import type { Site } from '../site';
import type { Work, WorkDraft } from '../work';

export const PLAN_IDS = ['keep-running', 'fix-failing', 'renew'] as const;
export type ChertPlanId = (typeof PLAN_IDS)[number];
export type PlanId = ChertPlanId | 'own';

/** A way to deal with the line: its works in order, what they cost, and what they leave. */
export type Plan = {
  readonly id: PlanId;
  readonly works: readonly Work[];
  readonly cost: Range;
  /** Findings that it ends, by id. */
  readonly settles: readonly string[];
  /** Findings that it keeps as they are by upkeep and does not end; by id. */
  readonly holds: readonly string[];
  /** Findings that it does nothing for; by id. No finding is in two of the three. */
  readonly leaves: readonly string[];
  /** Whether all that its works need first is among them. */
  readonly complete: boolean;
  /** Set where there were too many combinations to try them all: a cheaper plan may exist. */
  readonly isUnproved?: true;
};

const ASKS_FOR_WORK: readonly Finding['action'][] = ['repair', 'urgent', 'look-again'];

/** What works do for each finding: end it, hold it, or leave it, by id. */
function sortFindings(
  { owned }: Site,
  works: readonly Work[],
): Pick<Plan, 'settles' | 'holds' | 'leaves'> {
  const cured = new Set(works.flatMap(({ cures }) => cures));
  const held = new Set(works.flatMap(({ holds }) => holds));
  const isSmall = ({ severity, action }: Finding) =>
    severity === 'slight' && !ASKS_FOR_WORK.includes(action);
  const idsOf = (list: readonly Finding[]) => list.map(({ id }) => id);
  return {
    settles: idsOf(owned.filter(({ id }) => cured.has(id))),
    holds: idsOf(owned.filter(({ id }) => !cured.has(id) && held.has(id))),
    leaves: idsOf(owned.filter((one) => !cured.has(one.id) && !held.has(one.id) && !isSmall(one))),
  };
}

/** A plan of works, with all that they need first, priced, and with what they do. */
export function planOf(site: Site, id: PlanId, drafts: readonly WorkDraft[]): Plan {
  return planAsIs(site, id, withFirst(site, drafts));
}

/** A plan of just these works. */
export function planAsIs(site: Site, id: PlanId, drafts: readonly WorkDraft[]): Plan {
  const works = creditWorks(site, priceWorks(site, drafts));
  return {
    id,
    works,
    complete: lackOf(site, drafts).length === 0,
    ...sortFindings(site, works),
    cost: totalRange(works.map(({ cost }) => cost)),
  };
}

/** Whether a work changes the pipe, and not only clears, looks or tells. */
export const isRepairWork = ({ method }: WorkDraft) => {
  const { role } = methodById(method);
  return role === 'replace' || role === 'mend';
};
