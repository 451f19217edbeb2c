import { lengthFt, subtract, totalFt } from '../../base/interval';
import { meanOf } from '../../base/range';
import { hasTrait, nameFinding } from '../../catalogue/defects/kinds';
import { nameMaterial } from '../../catalogue/materials/kinds';
import type { Severity } from '../../catalogue/severity/grade';
import { isCourtesy } from '../../judge/courtesy';
import type { Finding } from '../../judge/finding';
import type { AssumptionKey, Assumptions } from '../../model/job/assumptions';
import { methodById } from '../methods/index';
import type { Plan } from '../plans/plan';
import type { Site } from '../site';
import { aloneFor, usualDig } from './alone';
import { type Risk, YEARS } from './future';

/** Nothing is surer than this in one year. */
const SUREST = 0.9;

const capital = (text: Severity) => `${text[0]!.toUpperCase()}${text.slice(1)}`;
const bySeverity = (assumptions: Assumptions, family: string, severity: Severity): number =>
  assumptions[`${family}${capital(severity)}` as AssumptionKey];

const years = <T>(of: (year: number) => T): T[] =>
  Array.from({ length: YEARS }, (_, year) => of(year));

/** How often a finding is cleaned, years. */
export function cleanedEvery({ kind, severity }: Finding, assumptions: Assumptions): number {
  if (hasTrait(kind, 'grows-slowly')) return assumptions.descaleYears;
  return bySeverity(assumptions, 'upkeepYears', severity === 'failed' ? 'major' : severity);
}

/** Households and a small bore make clogging likelier. */
function crowding({ assessment, assumptions }: Site, { facts }: Finding): number {
  const more = Math.max(0, assessment.inspection.property.households - 1);
  const isSmall = facts.boreIn !== null && facts.boreIn <= 3;
  return assumptions.householdFactor ** more * (isSmall ? assumptions.smallBoreFactor : 1);
}

/** Chance that what wears out by Weibull's law gives way in a year, having lasted so far. */
function weibullYears(fromYear: number, scaleYears: number, shape: number, times = 1): number[] {
  const hazard = (at: number) => (at / scaleYears) ** shape;
  return years(
    (year) => 1 - Math.exp(-times * (hazard(fromYear + year + 1) - hazard(fromYear + year))),
  );
}

/** What a finding may do while a plan leaves it; `null` when it does nothing. */
function riskOf(site: Site, plan: Plan, finding: Finding): Risk | null {
  const { assumptions } = site;
  const { kind, severity, id } = finding;
  const working = plan.works.filter(({ cures, holds }) => cures.includes(id) || holds.includes(id));
  const isCleaned = working.some(({ method }) => methodById(method).role === 'clean');
  const isMended = working.some(({ method }) => methodById(method).role !== 'clean');
  if (isMended) return null;
  const base = { name: `${nameFinding(kind)}, finding ${finding.number}`, findingIds: [id] };
  if (hasTrait(kind, 'clogs')) {
    const growth = hasTrait(kind, 'grows-slowly')
      ? assumptions.scaleGrowth
      : assumptions.clogGrowth;
    const first = bySeverity(assumptions, 'clog', severity) * crowding(site, finding);
    return {
      ...base,
      kind: 'clog',
      chances: years((year) => Math.min(SUREST, first * growth ** year)),
      after: 'again',
      cost: assumptions.backupCost + meanOf(site.prices['jet.visit']),
      clearedEvery: isCleaned ? cleanedEvery(finding, assumptions) : null,
    };
  }
  if (severity === 'slight' || isCleaned) return null;
  if (kind === 'layout' || hasTrait(kind, 'catches')) {
    const chance = Math.min(
      SUREST,
      bySeverity(assumptions, 'catch', severity) * crowding(site, finding),
    );
    return {
      ...base,
      kind: 'catch',
      chances: years(() => chance),
      after: 'again',
      cost: assumptions.backupCost,
      clearedEvery: null,
    };
  }
  if (!hasTrait(kind, 'breaks')) return null;
  const repair = meanOf(aloneFor(site, finding)?.cost ?? usualDig(site));
  return {
    ...base,
    kind: 'break',
    chances: weibullYears(
      0,
      bySeverity(assumptions, 'breakYears', severity),
      assumptions.breakShape,
    ),
    after: 'never',
    cost: assumptions.backupCost + assumptions.emergencyFactor * repair,
    clearedEvery: null,
  };
}

/** Pipe with no known fault, that may wear out all the same. */
function risksOfAge(site: Site, plan: Plan): Risk[] {
  const { assumptions, assessment } = site;
  return [...site.beds].flatMap(([lineId, { lateral }]) => {
    const renewed = plan.works
      .filter(
        ({ method, lineId: on }) =>
          on === lineId && ['replace', 'mend'].includes(methodById(method).role),
      )
      .map(({ fromFt, toFt }) => ({ fromFt, toFt }));
    const groups = new Map<string, { chances: number[]; ft: number; name: string }>();
    for (const segment of lateral.segments) {
      const { age, responsibleSide, material, zone } = segment;
      if (
        !age ||
        responsibleSide === 'public' ||
        isCourtesy(assessment.inspection, lateral, segment, zone)
      )
        continue;
      const left = totalFt(subtract([segment], renewed));
      if (left <= 0 || lengthFt(segment) <= 0) continue;
      const years = (age.ageYears.from + age.ageYears.to) / 2;
      const key = `${material} ${segment.lined} ${years}`;
      const ft = left + (groups.get(key)?.ft ?? 0);
      const scale = age.lifeYears.to * assumptions.ageLifeFactor;
      const chances = weibullYears(
        years,
        scale,
        assumptions.ageShape,
        ft / assumptions.ageStretchFt,
      );
      groups.set(key, { chances, ft, name: nameMaterial(material) });
    }
    return [...groups.values()].map(({ chances, ft, name }): Risk => ({
      name: `${Math.round(ft)} ft of ${name} wearing out`,
      findingIds: [],
      kind: 'age',
      chances: chances.map((chance) => Math.min(SUREST, chance)),
      after: 'never',
      cost: assumptions.backupCost + assumptions.emergencyFactor * meanOf(usualDig(site)),
      clearedEvery: null,
    }));
  });
}

/** Everything that may go wrong once a plan is carried out. */
export function risksOf(site: Site, plan: Plan): Risk[] {
  const left = site.owned.flatMap((finding) => riskOf(site, plan, finding) ?? []);
  return [...left, ...risksOfAge(site, plan)];
}
