import { groupBy } from '../../base/group';
import { sayList } from '../../base/numbers';
import { meanOf } from '../../base/range';
import { hasTrait, nameFinding } from '../../catalogue/defects/kinds';
import { hasBackup } from '../../judge/backup';
import type { Finding } from '../../judge/finding';
import type { LookValue } from '../look-value';
import { methodById } from '../methods/index';
import type { Plan } from '../plans/plan';
import { bedOf, type Site } from '../site';
import { aloneFor, usualDig } from './alone';
import { chanceOf, type Risk, SUREST, YEARS } from './future';
import { bySeverity, cleanedEvery, clearedEveryOf } from './rounds';
import { risksOfAge, weibullYears } from './wearing-out';

/** A risk of one finding, on its line. */
type FindingRisk = { readonly finding: Finding; readonly risk: Risk };

const everyYear = (chance: number): number[] =>
  Array.from({ length: YEARS }, () => Math.min(SUREST, chance));

const nameOf = (findings: readonly Finding[]): string => {
  const [first] = findings;
  const numbers = sayList(findings.map(({ number }) => String(number)));
  return `${nameFinding(first!.kind)}, finding${findings.length > 1 ? 's' : ''} ${numbers}`;
};

/** Households make any backup likelier. */
const bySharing = ({ assessment, assumptions }: Site): number =>
  assumptions.householdFactor ** Math.max(0, assessment.inspection.property.households - 1);

/** Households and a small bore make clogging likelier. */
function crowding(site: Site, { facts }: Finding): number {
  const isSmall = facts.boreIn !== null && facts.boreIn <= 3;
  return bySharing(site) * (isSmall ? site.assumptions.smallBoreFactor : 1);
}

/** Whether it is blocked already, or the pipe has given way there: the trouble is not to come, it has come. */
const isFailedNow = ({ kind, severity }: Finding): boolean =>
  hasTrait(kind, 'given-way') || (severity === 'failed' && hasTrait(kind, 'fills'));

function clogOf(site: Site, plan: Pick<Plan, 'works'>, finding: Finding, isCleaned: boolean): Risk {
  const { assumptions, prices } = site;
  const { kind, severity, id } = finding;
  const growth = hasTrait(kind, 'grows-slowly') ? assumptions.scaleGrowth : assumptions.clogGrowth;
  const first = bySeverity(assumptions, 'clog', severity) * crowding(site, finding);
  const uncleared = isFailedNow(finding) ? 'failed' : cleanedEvery(finding, assumptions);
  return {
    name: nameOf([finding]),
    findingIds: [id],
    kind: 'clog',
    chances: Array.from({ length: YEARS }, (_, year) => Math.min(SUREST, first * growth ** year)),
    // What nobody cleans has grown to what it is now: about as long as it takes to ask for cleaning.
    startsAt: isCleaned ? 0 : uncleared,
    after: 'again',
    backsUp: true,
    cost: assumptions.backupCost + meanOf(prices['jet.visit']),
    clearedEvery: isCleaned ? clearedEveryOf(site, plan, finding) : null,
  };
}

function catchOf(site: Site, finding: Finding, isFlushed: boolean): Risk {
  const { assumptions } = site;
  const chance = bySeverity(assumptions, 'catch', finding.severity) * crowding(site, finding);
  return {
    name: nameOf([finding]),
    findingIds: [finding.id],
    kind: 'catch',
    chances: everyYear(chance * (isFlushed ? assumptions.flushFactor : 1)),
    startsAt: isFailedNow(finding) && !isFlushed ? 'failed' : 0,
    after: 'again',
    backsUp: true,
    cost: assumptions.backupCost,
    clearedEvery: null,
  };
}

function breakOf(site: Site, finding: Finding): Risk {
  const { assumptions } = site;
  const repair = meanOf(aloneFor(site, finding)?.cost ?? usualDig(site));
  const scale = bySeverity(assumptions, 'breakYears', finding.severity);
  return {
    name: nameOf([finding]),
    findingIds: [finding.id],
    kind: 'break',
    chances: weibullYears([0], scale, assumptions.breakShape),
    startsAt: isFailedNow(finding) ? 'failed' : 0,
    after: 'never',
    backsUp: true,
    cost: assumptions.backupCost + assumptions.emergencyFactor * repair,
    clearedEvery: null,
  };
}

/** What a finding may do while a plan leaves it; `null` when it does nothing. */
function riskOf(site: Site, plan: Pick<Plan, 'works'>, finding: Finding): Risk | null {
  const { kind, severity, id } = finding;
  const working = plan.works.filter(({ cures, holds }) => cures.includes(id) || holds.includes(id));
  const isCleaned = working.some(({ method }) => methodById(method).role === 'clean');
  if (working.some(({ method }) => methodById(method).role !== 'clean')) return null;
  if (hasTrait(kind, 'clogs')) return clogOf(site, plan, finding, isCleaned);
  const isFlushed = working.some(({ method }) => method === 'flush');
  if (severity === 'slight' || (isCleaned && !isFlushed)) return null;
  if (kind === 'layout' || hasTrait(kind, 'catches')) return catchOf(site, finding, isFlushed);
  return hasTrait(kind, 'breaks') ? breakOf(site, finding) : null;
}

const hazard = (chance: number) => -Math.log(1 - chance);

/** How bad a clog is as it stands: what is never cleaned before what is, then the likelier. */
const weightOf = ({ risk }: FindingRisk): number =>
  (risk.clearedEvery === null ? 1 : 0) +
  chanceOf(risk, risk.clearedEvery === null ? risk.startsAt : risk.clearedEvery - 1);

/**
 * Deposits of one kind in one line have one cause: the same trees, kitchen or pipe. The worst counts in full,
 * each other by the share that is not common; those that stand alike and are cleaned together are one risk.
 */
function sharing(ofOneKind: readonly FindingRisk[], sharedCause: number): Risk[] {
  const [worst, ...others] = ofOneKind.toSorted((a, b) => weightOf(b) - weightOf(a));
  const weighted = [
    { ...worst!, share: 1 },
    ...others.map((one) => ({ ...one, share: 1 - sharedCause })),
  ];
  const alike = groupBy(
    weighted,
    ({ risk }) => `${String(risk.startsAt)} ${risk.clearedEvery ?? 'never'}`,
  );
  return [...alike.values()].map((group): Risk => {
    const [{ risk: first }] = group as [(typeof weighted)[number]];
    const findings = group.map(({ finding }) => finding).toSorted((a, b) => a.number - b.number);
    const chances = Array.from({ length: YEARS }, (_, age) => {
      const all = group.reduce(
        (sum, { risk, share }) => sum + share * hazard(chanceOf(risk, age)),
        0,
      );
      return Math.min(SUREST, 1 - Math.exp(-all));
    });
    return { ...first, name: nameOf(findings), findingIds: findings.map(({ id }) => id), chances };
  });
}

/** Clogs of a line share their cause by kind; every other risk stands by itself. */
function together(risks: readonly FindingRisk[], sharedCause: number): Risk[] {
  const clogs = groupBy(
    risks.filter(({ risk }) => risk.kind === 'clog'),
    ({ finding }) => finding.kind,
  );
  return [
    ...[...clogs.values()].flatMap((group) => sharing(group, sharedCause)),
    ...risks.filter(({ risk }) => risk.kind !== 'clog').map(({ risk }) => risk),
  ];
}

/** Whether the flow test of a line backed up, and nothing that this inspection did explains it. */
function isBackedUp(site: Site, lineId: string): boolean {
  const { axes, unplaced } = bedOf(site, lineId).lateral;
  return hasBackup([...axes, ...unplaced]) === 'by-itself';
}

/** The worst of what may hold water back in a line as it is today, whatever a plan does; `null`: nothing was found. */
function worstOf(site: Site, lineId: string): Finding | null {
  const [worst] = risksOn(site, { works: [] }, lineId)
    .filter(({ risk }) => risk.kind === 'clog' || risk.kind === 'catch')
    .toSorted((a, b) => weightOf(b) - weightOf(a));
  return worst?.finding ?? null;
}

/**
 * What goes down any line may stop it, clean and sound as it is.
 *
 * @param hasFailed whether the line backed up and nothing was found that may explain it.
 */
const riskOfUse = (site: Site, hasFailed: boolean): Risk => ({
  name: 'What goes down any line',
  findingIds: [],
  kind: 'use',
  chances: everyYear(site.assumptions.baseBackup * bySharing(site)),
  startsAt: hasFailed ? 'failed' : 0,
  after: 'again',
  backsUp: true,
  cost: site.assumptions.backupCost,
  clearedEvery: null,
});

/** What a look may show to be needed: it is done then, and the house is not backed up by it. */
function followOf({ paths, number, findingId }: LookValue): Risk | null {
  const dear = paths.filter(({ cost }) => cost > 0);
  const chance = dear.reduce((sum, path) => sum + path.chance, 0);
  if (chance === 0) return null;
  return {
    name: `What a look at finding ${number} may show`,
    findingIds: [findingId],
    kind: 'follow',
    chances: Array.from({ length: YEARS }, (_, year) => (year === 0 ? Math.min(1, chance) : 0)),
    startsAt: 0,
    after: 'never',
    backsUp: false,
    cost: dear.reduce((sum, path) => sum + path.chance * path.cost, 0) / chance,
    clearedEvery: null,
  };
}

/** Looks that a plan makes: what is replaced without looking needs none. */
const looksIn = ({ owned }: Site, plan: Plan, looks: readonly LookValue[]): LookValue[] =>
  looks.filter(({ findingId }) => {
    const finding = owned.find(({ id }) => id === findingId);
    return (
      finding !== undefined &&
      !plan.settles.includes(findingId) &&
      plan.works.some(
        (work) =>
          work.method === 'look-again' &&
          work.lineId === finding.lineId &&
          work.fromFt <= finding.span.toFt &&
          work.toFt >= finding.span.fromFt,
      )
    );
  });

/** What each finding of a line may do while a plan leaves it. */
const risksOn = (site: Site, plan: Pick<Plan, 'works'>, lineId: string): FindingRisk[] =>
  site.owned
    .filter((finding) => finding.lineId === lineId)
    .flatMap((finding) => {
      const risk = riskOf(site, plan, finding);
      return risk ? [{ finding, risk }] : [];
    });

/** Everything that may go wrong on a line. A backup that has come goes on until its worst cause is cleaned or mended. */
function risksOfLine(
  site: Site,
  plan: Plan,
  lineId: string,
  lookedAt: ReadonlySet<string>,
): Risk[] {
  const worst = isBackedUp(site, lineId) ? worstOf(site, lineId) : null;
  const left = risksOn(site, plan, lineId)
    .filter(({ finding }) => !lookedAt.has(finding.id))
    .map(({ finding, risk }): FindingRisk => {
      const isFailing = finding.id === worst?.id && risk.clearedEvery === null;
      return { finding, risk: isFailing ? { ...risk, startsAt: 'failed' } : risk };
    });
  const hasFailed = worst === null && isBackedUp(site, lineId);
  return [...together(left, site.assumptions.sharedCause), riskOfUse(site, hasFailed)];
}

/** Everything that may go wrong once a plan is carried out, and what its looks may lead to. */
export function risksOf(site: Site, plan: Plan, looks: readonly LookValue[]): Risk[] {
  const looking = looksIn(site, plan, looks);
  const lookedAt = new Set(looking.map(({ findingId }) => findingId));
  return [
    ...[...site.beds.keys()].flatMap((lineId) => risksOfLine(site, plan, lineId, lookedAt)),
    ...risksOfAge(site, plan),
    ...looking.flatMap((look) => followOf(look) ?? []),
  ];
}
