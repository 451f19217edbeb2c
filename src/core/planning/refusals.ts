import { memoOfBoth } from '../base/memo';
import { addRanges, type Range } from '../base/range';
import type { MethodId } from '../catalogue/method-ids';
import type { Finding } from '../judge/finding';
import { cellsWithin } from './bed';
import { neededFor } from './credit';
import { withFirst } from './first-works';
import { METHODS } from './methods/index';
import type { Method } from './methods/method';
import type { Plan } from './plans/plan';
import { priceWorks } from './price-works';
import { bedOf, type Site } from './site';
import { whyNotOver } from './ways';

/** A way that looks cheaper than what a plan does for a finding, and why it is not taken. */
export type Refusal = {
  readonly findingId: string;
  readonly number: number;
  readonly method: MethodId;
  readonly cost: Range;
  readonly because: string;
};

/** What was priced by itself, by finding and method: the plans of a site ask for the same. */
const priceBook = memoOfBoth((_site: Site, _finding: Finding) => new Map<MethodId, Range>());

/** What a method would cost for one finding by itself, with all that it needs first. */
function priceAlone(site: Site, method: Method, finding: Finding): Range {
  const book = priceBook(site, finding);
  const known = book.get(method.id);
  if (known) return known;
  const draft = { method: method.id, lineId: finding.lineId, ...neededFor(site, finding, method) };
  const price = addRanges(priceWorks(site, withFirst(site, [draft])).map(({ cost }) => cost));
  book.set(method.id, price);
  return price;
}

/** Why a method is not used for a finding, when nobody would wonder: it is not for that ground. */
function isOfOtherGround(site: Site, method: Method, finding: Finding): boolean {
  return cellsWithin(bedOf(site, finding.lineId), finding.span).every(
    ({ ground }) => !method.grounds.includes(ground),
  );
}

/** Every way that looks cheaper than what the plan does for a finding that it ends, and why it is refused. */
export function refusalsOf(site: Site, plan: Plan): Refusal[] {
  return site.owned.flatMap((finding) => {
    const doing = plan.works.find(({ cures }) => cures.includes(finding.id));
    if (!doing || !finding.placed) return [];
    const own = METHODS.find(({ id }) => id === doing.method)!;
    const taken = priceAlone(site, own, finding);
    return METHODS.flatMap((method): Refusal[] => {
      if (method === own || isOfOtherGround(site, method, finding)) return [];
      const verdict = method.verdict(finding, site);
      if (verdict === null) return [];
      const cost = priceAlone(site, method, finding);
      if (cost.likely >= taken.likely) return [];
      const bed = bedOf(site, finding.lineId);
      const barred = whyNotOver(site, method, bed, neededFor(site, finding, method));
      const because =
        verdict.does === 'cure'
          ? (barred ?? 'cheaper by itself, but dearer with the rest of this plan')
          : verdict.does === 'hold' && barred !== null
            ? barred
            : verdict.because;
      return [{ findingId: finding.id, number: finding.number, method: method.id, cost, because }];
    }).sort((a, b) => a.cost.likely - b.cost.likely);
  });
}
