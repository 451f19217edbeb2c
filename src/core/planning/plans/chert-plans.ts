import type { Finding } from '../../judge/finding';
import { choose } from '../choose/choose';
import { poseProblem, worksOf } from '../pose';
import type { Site } from '../site';
import { type Allowed, type Need } from '../ways';
import type { WorkDraft } from '../work';
import { joinNear } from './join-near';
import { needsOfFixing, needsOfRenewing, needsOfUpkeep } from './needs';
import { type ChertPlanId, type Plan, planOf } from './plan';
import { opinions, tellings, withLooks } from './telling';

/** A plan of what is done in any case and of the cheapest works that meet the needs. */
function cheapest(
  site: Site,
  id: ChertPlanId,
  always: readonly WorkDraft[],
  needs: readonly Need[],
  isAllowed?: Allowed,
): Plan {
  const posed = poseProblem(site, needs, isAllowed);
  const choice = choose(posed.problem);
  const chosen = choice ? joinNear(site, worksOf(posed, choice)) : [];
  const works = [...always, ...chosen];
  const { settles } = planOf(site, id, works);
  // Where the pipe is taken out, nobody needs to look what was wrong with it.
  const isOpen = ({ id: findingId }: Finding) => !settles.includes(findingId);
  const plan = planOf(site, id, withLooks(site, works, isOpen));
  return choice?.isExact === false ? { ...plan, isUnproved: true } : plan;
}

const UPKEEP: Allowed = ({ role, id }) => role === 'clean' || id === 'ramp-lip';

/**
 * The three plans: upkeep alone; the cheapest that ends what fails and holds the rest; the cheapest that
 * leaves nothing moderate or worse and no pipe past its life.
 */
export function planAll(site: Site): Plan[] {
  const always = tellings(site);
  const works = [...always, ...opinions(site)];
  return [
    cheapest(site, 'keep-running', always, needsOfUpkeep(site), UPKEEP),
    cheapest(site, 'fix-failing', works, needsOfFixing(site)),
    cheapest(site, 'renew', works, needsOfRenewing(site)),
  ];
}
