import { type Range, totalRange } from '../../base/range';
import type { Finding } from '../../judge/finding';
import { creditWorks } from '../credit';
import { withFirst } from '../first-works';
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
  /** Findings that it neither ends nor, where upkeep is enough, holds; by id. */
  readonly leaves: readonly string[];
  /** Set where there were too many combinations to try them all: a cheaper plan may exist. */
  readonly isUnproved?: true;
};

const ASKS_FOR_WORK: readonly Finding['action'][] = ['repair', 'urgent', 'look-again'];

/** Whether a finding is left when these works are done. */
function isLeft({ id, severity, action }: Finding, works: readonly Work[]): boolean {
  if (severity === 'slight' && !ASKS_FOR_WORK.includes(action)) return false;
  if (works.some(({ cures }) => cures.includes(id))) return false;
  return !(action === 'upkeep' && works.some(({ holds }) => holds.includes(id)));
}

/** What works leave, by id. */
export function leftBy(site: Site, works: readonly Work[]): string[] {
  return site.owned.filter((finding) => isLeft(finding, works)).map(({ id }) => id);
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
    cost: totalRange(works.map(({ cost }) => cost)),
    leaves: leftBy(site, works),
  };
}

/** Whether a work changes the pipe, and not only clears, looks or tells. */
export const isRepairWork = ({ method }: WorkDraft) => {
  const { role } = methodById(method);
  return role === 'replace' || role === 'mend';
};
