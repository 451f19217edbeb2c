import { groupBy } from '../../base/group';
import { hasTrait } from '../../catalogue/defects/kinds';
import type { MethodId } from '../../catalogue/method-ids';
import type { Severity } from '../../catalogue/severity/grade';
import type { Finding } from '../../judge/finding';
import type { AssumptionKey, Assumptions } from '../../model/job/assumptions';
import { methodById } from '../methods/index';
import type { Plan } from '../plans/plan';
import type { Site } from '../site';
import type { Work } from '../work';

/** An assumption that has a value for each severity ("clogMajor"). */
export function bySeverity(assumptions: Assumptions, family: string, severity: Severity): number {
  const capital = `${severity[0]!.toUpperCase()}${severity.slice(1)}`;
  return assumptions[`${family}${capital}` as AssumptionKey];
}

/** How often a finding by itself would be cleaned, years. */
export function cleanedEvery({ kind, severity }: Finding, assumptions: Assumptions): number {
  if (hasTrait(kind, 'grows-slowly')) return assumptions.descaleYears;
  if (kind === 'standing-water') return assumptions.flushYears;
  return bySeverity(assumptions, 'upkeepYears', severity === 'failed' ? 'major' : severity);
}

const isFor = ({ cures, holds }: Work, id: string) => cures.includes(id) || holds.includes(id);

/** Cleaning that comes round: not what only clears the way for another work. */
const isUpkeep = ({ method, isFirst }: Work) => methodById(method).role === 'clean' && !isFirst;

/** Findings that cleaning works must come back for: what a flush takes out for good does not. */
const comingBack = (site: Site, works: readonly Work[]): Finding[] =>
  site.owned.filter(
    (finding) =>
      works.some((work) => isFor(work, finding.id)) && !hasTrait(finding.kind, 'flushed'),
  );

/** How often a cleaning by these works comes round, years: as often as the finding that asks for it most. */
export function roundOf(site: Site, works: readonly Work[]): number | null {
  const back = comingBack(site, works);
  if (back.length === 0) return null;
  return Math.min(...back.map((finding) => cleanedEvery(finding, site.assumptions)));
}

/** The cleaning works of a plan that come round, by method: one visit cleans all of its kind. */
export const roundsIn = ({ works }: Pick<Plan, 'works'>): Map<MethodId, Work[]> =>
  groupBy(works.filter(isUpkeep), ({ method }) => method);

/** How often a plan has a finding cleaned, years; `null` when it does not come back to it. */
export function clearedEveryOf(
  site: Site,
  plan: Pick<Plan, 'works'>,
  finding: Finding,
): number | null {
  if (hasTrait(finding.kind, 'flushed')) return null;
  const rounds = [...roundsIn(plan).values()]
    .filter((works) => works.some((work) => isFor(work, finding.id)))
    .flatMap((works) => roundOf(site, works) ?? []);
  return rounds.length > 0 ? Math.min(...rounds) : null;
}
