import { gapBetweenFt, subtract } from '../base/interval';
import type { MethodId } from '../catalogue/method-ids';
import type { Finding } from '../judge/finding';
import type { OwnWork } from '../model/job/plans';
import { type BrokenRule, checkWorks } from './check-works';
import { neededFor } from './credit';
import { orderOf, withFirst } from './first-works';
import { methodById } from './methods/index';
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

/** A work as a decision keeps it. */
export const asOwnWork = ({ method, lineId, fromFt, toFt }: OwnWork): OwnWork => ({
  method,
  lineId,
  fromFt,
  toFt,
});

/** The works with all that must come first and is not among them yet. */
export function addWhatComesFirst(site: Site, works: readonly OwnWork[]): OwnWork[] {
  const missing = withFirst(site, works)
    .filter(({ isFirst }) => isFirst)
    .flatMap((first): OwnWork[] => {
      const there = works.filter(
        ({ method, lineId }) => method === first.method && lineId === first.lineId,
      );
      const isPoint = first.fromFt === first.toFt;
      const left = isPoint
        ? there.some((one) => gapBetweenFt(one, first) === 0)
          ? []
          : [first]
        : subtract([first], there);
      return left.map(({ fromFt, toFt }) => asOwnWork({ ...first, fromFt, toFt }));
    });
  return [...works, ...missing];
}

/** What a method would have to work for a finding. */
export function workFor(site: Site, finding: Finding, method: MethodId): OwnWork {
  return { method, lineId: finding.lineId, ...neededFor(site, finding, methodById(method)) };
}
