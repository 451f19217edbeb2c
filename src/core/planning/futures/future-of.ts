import { meanOf } from '../../base/range';
import type { LookValue } from '../look-value';
import { methodById } from '../methods/index';
import type { Plan, PlanId } from '../plans/plan';
import type { Site } from '../site';
import { type Future, type Upkeep, YEARS } from './future';
import { risksOf } from './risks';
import { roundOf, roundsIn } from './rounds';

/** What a plan goes on costing: cleaning that comes round, and works that wear out within the futures. */
function upkeepOf(site: Site, plan: Plan): Upkeep[] {
  const wearing = plan.works.flatMap((work): Upkeep[] => {
    const { role, lifeYears, name } = methodById(work.method);
    return role !== 'clean' && lifeYears !== null && lifeYears <= YEARS
      ? [{ says: `${name} again`, everyYears: lifeYears, cost: meanOf(work.cost) }]
      : [];
  });
  const cleaning = [...roundsIn(plan)].flatMap(([id, group]): Upkeep[] => {
    const everyYears = roundOf(site, group);
    if (everyYears === null) return [];
    const cost = group.reduce((sum, work) => sum + meanOf(work.cost), 0);
    // The visit may have been paid by another work of the same method that another work needed first.
    const visit = methodById(id).price.visit;
    const hasVisit = group.some(({ lines }) => lines.some(({ key }) => key === visit));
    const more = visit && !hasVisit ? meanOf(site.prices[visit]) : 0;
    return [{ says: methodById(id).name, everyYears, cost: cost + more }];
  });
  return [...wearing, ...cleaning];
}

/** A plan as it may go on; what its looks may show to be needed counts with its chance. */
export function futureOf(site: Site, plan: Plan, looks: readonly LookValue[]): Future<PlanId> {
  return {
    planId: plan.id,
    now: plan.cost,
    upkeep: upkeepOf(site, plan),
    risks: risksOf(site, plan, looks),
  };
}
