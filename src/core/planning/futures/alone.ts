import { addRanges, type Range, scaleRange } from '../../base/range';
import type { Finding } from '../../judge/finding';
import { choose } from '../choose/choose';
import { withFirst } from '../first-works';
import { poseProblem, worksOf } from '../pose';
import { priceWorks } from '../price-works';
import type { Site } from '../site';
import { type Allowed } from '../ways';
import type { WorkDraft } from '../work';

/** The cheapest way to deal with one finding by itself: its works and their price. */
export type Alone = { readonly works: readonly WorkDraft[]; readonly cost: Range };

/** What it would take to deal with one finding and nothing else; `null` when nothing here can. */
export function aloneFor(
  site: Site,
  finding: Finding,
  what: 'cure' | 'hold' = 'cure',
  isAllowed?: Allowed,
): Alone | null {
  const posed = poseProblem(site, [{ what, finding }], isAllowed);
  const choice = posed.problem.targets.length > 0 ? choose(posed.problem) : null;
  if (!choice) return null;
  const works = withFirst(site, worksOf(posed, choice));
  return { works, cost: addRanges(priceWorks(site, works).map(({ cost }) => cost)) };
}

/** Length of pipe that is replaced where pipe of no known fault gives way, feet. */
const USUAL_LENGTH_FT = 6;

/** A dig of a usual length in open ground: what an unforeseen failure is reckoned by. */
export function usualDig({ prices }: Site): Range {
  return addRanges([
    prices['dig.visit'],
    prices['dig.each'],
    scaleRange(prices['dig.foot'], USUAL_LENGTH_FT),
    prices['permit.replace'],
  ]);
}
