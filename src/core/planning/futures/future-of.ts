import { meanOf } from '../../base/range';
import { hasTrait } from '../../catalogue/defects/kinds';
import type { MethodId } from '../../catalogue/method-ids';
import { methodById } from '../methods/index';
import type { Plan, PlanId } from '../plans/plan';
import type { Site } from '../site';
import type { Work } from '../work';
import { type Future, type Upkeep, YEARS } from './future';
import { cleanedEvery, risksOf } from './risks';

/** How often a cleaning comes round: as often as the finding that asks for it most. */
function roundOf(site: Site, works: readonly Work[]): number | null {
  const ids = new Set(works.flatMap(({ cures, holds }) => [...cures, ...holds]));
  // What a flush takes out for good does not come round.
  const comesBack = site.owned.filter(({ id, kind }) => ids.has(id) && !hasTrait(kind, 'flushed'));
  if (comesBack.length === 0) return null;
  return Math.min(...comesBack.map((finding) => cleanedEvery(finding, site.assumptions)));
}

/** What a plan goes on costing: cleaning that comes round, and works that wear out within the futures. */
function upkeepOf(site: Site, { works }: Plan): Upkeep[] {
  const cleaning = new Map<MethodId, Work[]>();
  const upkeep: Upkeep[] = [];
  for (const work of works) {
    const method = methodById(work.method);
    if (method.role === 'clean' && !work.isFirst)
      cleaning.set(work.method, [...(cleaning.get(work.method) ?? []), work]);
    else if (method.role !== 'clean' && method.lifeYears !== null && method.lifeYears <= YEARS)
      upkeep.push({
        says: `${method.name} again`,
        everyYears: method.lifeYears,
        cost: meanOf(work.cost),
      });
  }
  for (const [id, group] of cleaning) {
    const everyYears = roundOf(site, group);
    if (everyYears === null) continue;
    const cost = group.reduce((sum, work) => sum + meanOf(work.cost), 0);
    // The visit may have been paid by another work of the same method that another work needed first.
    const visit = methodById(id).price.visit;
    const hasVisit = group.some(({ lines }) => lines.some(({ key }) => key === visit));
    const more = visit && !hasVisit ? meanOf(site.prices[visit]) : 0;
    upkeep.push({ says: methodById(id).name, everyYears, cost: cost + more });
  }
  return upkeep;
}

/** A plan as it may go on. */
export function futureOf(site: Site, plan: Plan): Future<PlanId> {
  return {
    planId: plan.id,
    now: plan.cost,
    upkeep: upkeepOf(site, plan),
    risks: risksOf(site, plan),
  };
}
