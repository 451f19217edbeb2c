import { roundTo } from '../base/numbers';
import { wholeDollars } from '../base/range';
import type { Assessment } from '../judge/assessment';
import type { Plan } from '../planning/plans/plan';
import { type Repair, repairOf } from '../planning/repair';
import { weighWholeRuns } from '../planning/whole-runs';
import type { Work } from '../planning/work';

const ft = (value: number) => roundTo(value, 3);
const dollars = (value: number) => Math.round(value);

/** Plans, the pick and what they rest on, as the headless door prints them. Whole dollars. */
export function repairJson(assessment: Assessment): Record<string, unknown> {
  const repair = repairOf(assessment);
  return {
    plans: repair.plans.map((plan) => planJson(plan, repair)),
    pick: repair.pick.planId,
    pickBecause: repair.pick.because,
    close: repair.pick.close,
    chosen: repair.chosen,
    wholeRuns: weighWholeRuns(repair.site).map(({ fromFt, toFt, lineId, material, ways }) => ({
      lineId,
      material,
      fromFt: ft(fromFt),
      toFt: ft(toFt),
      ways: ways.map(({ method, cost, because }) => ({
        method,
        cost: wholeDollars(cost),
        because,
      })),
    })),
    horizonYears: repair.weighing.horizonYears,
    paysBackYear: repair.paysBackYear,
    ownBroken: repair.own?.broken ?? [],
    gravity: repair.gravity.map((sum) => ({
      ...sum,
      availableIn: sum.availableIn && roundTo(sum.availableIn, 2),
      requiredIn: sum.requiredIn && roundTo(sum.requiredIn, 2),
      sigmaIn: sum.sigmaIn && roundTo(sum.sigmaIn, 2),
    })),
    looks: repair.looks.map(({ findingId, price, worth, says, paths }) => ({
      findingId,
      price: dollars(price),
      worth: dollars(worth),
      says,
      paths: paths.map((path) => ({
        ...path,
        chance: roundTo(path.chance, 4),
        cost: dollars(path.cost),
      })),
    })),
    priceBook: {
      id: assessment.settings.priceBook.id,
      name: assessment.settings.priceBook.name,
      source: assessment.settings.priceBook.source,
      editedOn: assessment.settings.priceBook.editedOn,
    },
  };
}

function planJson({ id, works, cost, settles, holds, leaves, complete }: Plan, repair: Repair) {
  const weighed = repair.pick.weighed.find(({ planId }) => planId === id)!;
  return {
    id,
    works: works.map(workJson),
    cost: wholeDollars(cost),
    settles,
    holds,
    leaves,
    complete,
    expected: dollars(weighed.expected),
    backup: roundTo(weighed.backup, 4),
    objective: dollars(weighed.objective),
    ruledOut: weighed.ruledOut,
    refused: (repair.refusals.get(id) ?? []).map(({ findingId, method, cost: price, because }) => ({
      findingId,
      method,
      cost: wholeDollars(price),
      because,
    })),
  };
}

function workJson(work: Work) {
  return {
    method: work.method,
    extent: work.extent,
    ...(work.visit ? { visit: { ...work.visit, fromFt: ft(work.visit.fromFt) } } : {}),
    lineId: work.lineId,
    fromFt: ft(work.fromFt),
    toFt: ft(work.toFt),
    cures: work.cures,
    holds: work.holds,
    cost: wholeDollars(work.cost),
    isFirst: work.isFirst,
    lines: work.lines.map(({ key, says, quantity, unit, rate, factor, cost }) => ({
      key,
      says,
      quantity,
      unit,
      rate,
      factor,
      cost: wholeDollars(cost),
    })),
    zones: work.zones,
    depthFt: work.depth && {
      least: roundTo(work.depth.leastFt, 1),
      most: roundTo(work.depth.mostFt, 1),
      located: work.depth.isLocated,
    },
    publicFt: ft(work.publicFt),
    tees: work.tees.map(({ stationFt, serves }) => ({ stationFt: ft(stationFt), serves })),
  };
}
