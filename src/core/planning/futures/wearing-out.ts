import { lengthFt, subtract, totalFt } from '../../base/interval';
import { meanOf } from '../../base/range';
import { nameMaterial } from '../../catalogue/materials/kinds';
import { isCourtesy } from '../../judge/courtesy';
import { methodById } from '../methods/index';
import type { Plan } from '../plans/plan';
import type { Site } from '../site';
import { usualDig } from './alone';
import { type Risk, SUREST, YEARS } from './future';

/** Ages at which pipe of an uncertain age is reckoned, at most: one every so many years of the range. */
const MOST_AGES = 9;

/** Ages spread evenly over a range of ages, years. */
function agesOver({ from, to }: { readonly from: number; readonly to: number }): number[] {
  const count = Math.min(MOST_AGES, Math.max(1, Math.round(to - from) + 1));
  return Array.from({ length: count }, (_, index) =>
    count === 1 ? (from + to) / 2 : from + ((to - from) * index) / (count - 1),
  );
}

/**
 * Chance that something gives way in a year, having lasted until then, by Weibull's law: H(t) = (t / scale)^shape,
 * `times` such things together. Where the age is one of several, each alike likely, the chance that it lasts is
 * their mean: old pipe that still stands makes the lower ages likelier.
 */
export function weibullYears(
  ages: readonly number[],
  scaleYears: number,
  shape: number,
  times = 1,
): number[] {
  const hazard = (at: number) => times * (at / scaleYears) ** shape;
  const lasts = (year: number) =>
    ages.reduce((sum, age) => sum + Math.exp(hazard(age) - hazard(age + year)), 0) / ages.length;
  return Array.from({ length: YEARS }, (_, year) =>
    lasts(year) <= 0 ? 1 : 1 - lasts(year + 1) / lasts(year),
  );
}

/** Pipe of one kind and age in a line, whatever its faults, that no work of a plan renews. */
type OldPipe = {
  readonly name: string;
  readonly ages: Years;
  readonly lifeYears: number;
  ft: number;
};
type Years = { readonly from: number; readonly to: number };

function oldPipeOf(site: Site, plan: Plan, lineId: string): OldPipe[] {
  const { lateral } = site.beds.get(lineId)!;
  const renewed = plan.works.filter(
    (work) => work.lineId === lineId && ['replace', 'mend'].includes(methodById(work.method).role),
  );
  const groups = new Map<string, OldPipe>();
  for (const segment of lateral.segments) {
    const { age, responsibleSide, material, zone } = segment;
    if (!age || responsibleSide === 'public' || lengthFt(segment) <= 0) continue;
    if (isCourtesy(site.assessment.inspection, lateral, segment, zone)) continue;
    const left = totalFt(subtract([segment], renewed));
    if (left <= 0) continue;
    const { ageYears, lifeYears } = age;
    const key = [material, segment.lined, ageYears.from, ageYears.to].join(' ');
    const known = groups.get(key);
    if (known) known.ft += left;
    else
      groups.set(key, {
        name: nameMaterial(material),
        ages: ageYears,
        lifeYears: lifeYears.to,
        ft: left,
      });
  }
  return [...groups.values()];
}

/** Pipe with no known fault, that may wear out all the same. */
export function risksOfAge(site: Site, plan: Plan): Risk[] {
  const { backupCost, emergencyFactor, ageLifeFactor, ageShape, ageStretchFt } = site.assumptions;
  return [...site.beds.keys()].flatMap((lineId) =>
    oldPipeOf(site, plan, lineId).map(({ name, ages, lifeYears, ft }): Risk => {
      const scale = lifeYears * ageLifeFactor;
      return {
        name: `${Math.round(ft)} ft of ${name} wearing out`,
        findingIds: [],
        kind: 'age',
        chances: weibullYears(agesOver(ages), scale, ageShape, ft / ageStretchFt).map((chance) =>
          Math.min(SUREST, chance),
        ),
        startsAt: 0,
        after: 'never',
        backsUp: true,
        cost: backupCost + emergencyFactor * meanOf(usualDig(site)),
        clearedEvery: null,
      };
    }),
  );
}
