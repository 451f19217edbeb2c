import { sayList } from '../base/numbers';
import { totalRange } from '../base/range';
import { zoneOf } from '../catalogue/zones';
import type { Finding } from '../judge/finding';
import type { LineNames } from '../lateral/line-names';
import { sayOnLine } from '../lateral/say-place';
import { METHOD_WORDS } from '../planning/method-words';
import { methodById } from '../planning/methods/index';
import { sayMoney, sayRange } from '../planning/money';
import { PLAN_NAMES, sayChance, sayYears } from '../planning/pick';
import type { Plan, PlanId } from '../planning/plans/plan';
import { planToTell, type Repair } from '../planning/repair';
import type { Work } from '../planning/work';
import type { TableBlock } from './block';
import { sayLongDay } from './calendar';
import { capital } from './words';

/** "Too close to call" is told wherever the pick is. */
const sayClose = (close: readonly PlanId[]) =>
  `By these figures it is too close to call between this and: ${sayList(close.map((id) => PLAN_NAMES[id]))}.`;

/** What the other plans come to, so that the reader can weigh them. */
function sayOthers({ plans, pick, weighing: { horizonYears } }: Repair, plan: Plan): string[] {
  const works = (one: Plan) =>
    one.works.map(({ method, fromFt, toFt }) => `${method} ${fromFt} ${toFt}`).join();
  const others = plans.filter(
    (one) =>
      one.id !== plan.id && one.id !== 'own' && one.works.length > 0 && works(one) !== works(plan),
  );
  const told = [plan, ...others].map((one) => {
    const { expected, backup } = pick.weighed.find(({ planId }) => planId === one.id)!;
    const name = PLAN_NAMES[one.id];
    return `${name}: ${sayRange(one.cost)} now, about ${sayMoney(expected)} over ${sayYears(horizonYears)}, chance of a backup ${sayChance(backup)}${one.id === pick.planId ? ' (recommended)' : ''}.`;
  });
  const close = pick.close.length > 0 && plan.id === pick.planId ? [sayClose(pick.close)] : [];
  return others.length === 0 ? [] : [...told, ...close];
}

/** Whether a work is priced without its mobilization, which another work of the plan pays. */
function isCarriedAlong({ method, lines }: Work): boolean {
  const { visit } = methodById(method).price;
  return visit !== undefined && !lines.some(({ key }) => key === visit);
}

/** What the plan costs for findings told together; `null` where it does nothing for them, or nobody knows yet what it is. */
export function priceOfFindings(
  plan: Plan,
  told: readonly Finding[],
  findings: readonly Finding[],
): string | null {
  if (told.some(({ action }) => ['look-again', 'none', 'monitor'].includes(action))) return null;
  const ids = new Set(told.map(({ id }) => id));
  const works = plan.works.filter(({ cures, holds }) =>
    [...cures, ...holds].some((id) => ids.has(id)),
  );
  if (works.length === 0) return null;
  const worked = new Set(works.flatMap(({ cures, holds }) => [...cures, ...holds]));
  const others = findings
    .filter(({ id }) => !ids.has(id) && worked.has(id))
    .map(({ number }) => String(number));
  const isUpkeep = works.every(({ method }) => methodById(method).role === 'clean');
  return `${sayRange(totalRange(works.map(({ cost }) => cost)))}${isUpkeep ? ' each time' : ''}${others.length > 0 ? `, with ${sayList(others)}` : ''}${works.some(isCarriedAlong) ? ', with the crew already there' : ''}`;
}

/** A work in the buyer's words. */
export function sayWork(work: Pick<Work, 'method' | 'isFirst'>): string {
  return `${METHOD_WORDS[work.method]}${work.isFirst ? ' first' : ''}`;
}

/** Where a work is, for the buyer. */
export function sayWorkPlace({ lineId, fromFt, toFt, zones }: Work, names: LineNames): string {
  const places = zones.map((zone) => zoneOf(zone).place);
  const isPoint = Math.round(fromFt) === Math.round(toFt);
  return [
    `${isPoint ? 'at ' : ''}${sayOnLine({ lineId, fromFt, toFt }, names)}`,
    ...(places.length > 0 ? [sayList(places)] : []),
  ].join(', ');
}

/** What the plan may cost, work by work, and what only keeping it running would come to. */
export function composeCost(repair: Repair): TableBlock | null {
  const plan = planToTell(repair);
  const paid = plan.works.filter(({ cost }) => cost.high > 0);
  if (paid.length === 0) return null;
  const { priceBook } = repair.site.assessment.settings;
  return {
    kind: 'table',
    title: `What it may cost: ${PLAN_NAMES[plan.id].toLowerCase()}`,
    head: ['Work', 'Where', 'Planning range'],
    rows: [
      ...paid.map((work) => [
        capital(sayWork(work)),
        sayWorkPlace(work, repair.site.assessment.names),
        sayRange(work.cost),
      ]),
      ...(paid.length > 1 ? [['All of it', '', sayRange(plan.cost)]] : []),
    ],
    numeric: [2],
    notes: [
      `Planning figures from the price book “${priceBook.name}” of ${sayLongDay(priceBook.editedOn)}. They are not a quote: a licensed contractor sets the price.`,
      ...sayOthers(repair, plan),
    ],
  };
}
