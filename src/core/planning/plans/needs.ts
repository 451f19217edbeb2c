import { type Interval, subtract } from '../../base/interval';
import { wallFtOf } from '../../judge/courtesy';
import type { Finding } from '../../judge/finding';
import { INDOOR_ZONES } from '../../lateral/zones';
import { reachOfNewPipe, verdictOfLiner } from '../methods/families';
import { canBeMet, type Need } from '../pose';
import { bedOf, type Site } from '../site';

/** Findings that works can be chosen for: those with a station, and not another's line in the sewer. */
function workable({ owned }: Site): Finding[] {
  return owned.filter(
    ({ placed, isPlaceUnsaid, kind }) => placed && !isPlaceUnsaid && kind !== 'utility-crossing',
  );
}

/** What upkeep alone can hold. */
export function needsOfUpkeep(site: Site): Need[] {
  return workable(site)
    .filter(({ action }) => action === 'upkeep' || action === 'repair' || action === 'urgent')
    .map((finding) => ({ what: 'hold', finding }));
}

/** What must be ended now, and what upkeep must hold. */
export function needsOfFixing(site: Site): Need[] {
  return workable(site).flatMap((finding): Need[] => {
    if (finding.action === 'repair' || finding.action === 'urgent')
      return [{ what: 'cure', finding }];
    return finding.action === 'upkeep' ? [{ what: 'hold', finding }] : [];
  });
}

/** Nothing moderate or worse is left, and no pipe past its usual life. */
export function needsOfRenewing(site: Site): Need[] {
  const needs = workable(site)
    .filter(({ action }) => action !== 'look-again')
    .flatMap((finding): Need[] => {
      const isBad = finding.severity !== 'slight' || ['repair', 'urgent'].includes(finding.action);
      if (!isBad) return finding.action === 'upkeep' ? [{ what: 'hold', finding }] : [];
      const cure: Need = { what: 'cure', finding };
      return [canBeMet(site, cure) ? cure : { what: 'hold', finding }];
    });
  return [...needs, ...needsOfAge(site, needs)];
}

/** Stretches of pipe past its usual life, without those that are replaced for something else anyway. */
function needsOfAge(site: Site, needs: readonly Need[]): Need[] {
  const { job } = site.assessment.inspection;
  return [...site.beds.keys()].flatMap((lineId) => {
    const { lateral } = bedOf(site, lineId);
    const wallFt = wallFtOf(lateral);
    const old = lateral.segments
      .filter(({ age, responsibleSide }) => age?.standing === 'past' && responsibleSide === 'owner')
      .filter(
        ({ zone, toFt }) =>
          job.scope !== 'lateral' ||
          !((zone !== null && INDOOR_ZONES.includes(zone)) || (wallFt !== null && toFt <= wallFt)),
      );
    const replaced = needs.flatMap((need): Interval[] =>
      need.what !== 'renew' &&
      need.finding.lineId === lineId &&
      verdictOfLiner(need.finding)?.does === 'no'
        ? [reachOfNewPipe(need.finding, site)]
        : [],
    );
    return subtract(old, replaced).map((stretch): Need => ({ what: 'renew', lineId, stretch }));
  });
}
