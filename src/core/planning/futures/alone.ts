import { memoOfBoth } from '../../base/memo';
import { addRanges, type Range, scaleRange } from '../../base/range';
import type { Finding } from '../../judge/finding';
import { choose } from '../choose/choose';
import { withFirst } from '../first-works';
import { poseProblem, worksOf } from '../pose';
import { priceWorks } from '../price-works';
import type { Site } from '../site';
import type { Need } from '../ways';
import type { WorkDraft } from '../work';

/** The cheapest way to deal with one finding by itself: its works and their price. */
export type Alone = { readonly works: readonly WorkDraft[]; readonly cost: Range };

/** What it would take to deal with one finding and nothing else; `null` when nothing here can. */
export const aloneFor = (
  site: Site,
  finding: Finding,
  what: 'cure' | 'hold' = 'cure',
): Alone | null => (what === 'cure' ? cureAlone : holdAlone)(site, finding);

const cureAlone = memoOfBoth((site: Site, finding: Finding) =>
  alone(site, { what: 'cure', finding }),
);
const holdAlone = memoOfBoth((site: Site, finding: Finding) =>
  alone(site, { what: 'hold', finding }),
);

function alone(site: Site, need: Need): Alone | null {
  const posed = poseProblem(site, [need]);
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
