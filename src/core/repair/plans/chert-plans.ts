import { choose } from '../choose/choose';
import { type Allowed, type Need, poseProblem, worksOf } from '../pose';
import type { Site } from '../site';
import type { WorkDraft } from '../work';
import { needsOfFixing, needsOfRenewing, needsOfUpkeep } from './needs';
import { type Plan, planOf } from './plan';
import { looks, opinions, tellings } from './telling';

/** The cheapest works that meet the needs. */
function cheapest(site: Site, needs: readonly Need[], isAllowed?: Allowed): WorkDraft[] {
  const posed = poseProblem(site, needs, isAllowed);
  const choice = choose(posed.problem);
  return choice ? worksOf(posed, choice) : [];
}

const UPKEEP: Allowed = ({ role, id }) => role === 'clean' || id === 'ramp-lip';

/**
 * The three plans: upkeep alone; the cheapest that ends what fails and holds the rest; the cheapest that
 * leaves nothing moderate or worse and no pipe past its life.
 */
export function planAll(site: Site): Plan[] {
  const always = [...tellings(site), ...looks(site)];
  return [
    planOf(site, 'keep-running', [...always, ...cheapest(site, needsOfUpkeep(site), UPKEEP)]),
    planOf(site, 'fix-failing', [...always, ...opinions(site), ...cheapest(site, needsOfFixing(site))]),
    planOf(site, 'renew', [...always, ...opinions(site), ...cheapest(site, needsOfRenewing(site))]),
  ];
} // prettier-ignore
