import type { OwnWork } from '../job/plans';
import { type BrokenRule, checkWorks } from './check-works';
import { orderOf } from './first-works';
import { type Plan, planAsIs } from './plans/plan';
import type { Site } from './site';

/** The inspector's own plan as it stands: priced, with what it does and the rules that it breaks. */
export type OwnPlanned = { readonly plan: Plan; readonly broken: readonly BrokenRule[] };

/** Prices and checks works as the inspector means them. Works on lines that are not there are left out. */
export function planOwn(site: Site, works: readonly OwnWork[]): OwnPlanned {
  const known = works
    .filter(({ lineId }) => site.beds.has(lineId))
    .toSorted((a, b) => orderOf(a) - orderOf(b) || a.fromFt - b.fromFt);
  const plan = planAsIs(site, 'own', known);
  return { plan, broken: checkWorks(site, plan.works) };
}
