import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { assumptionsInForce } from '../../model/job/assumptions';
import { assessmentOf, type Said } from '../../testing/build';
import { defect, lineIn, pool } from '../../testing/rules';
import { planAsIs } from '../plans/plan';
import { repairOf } from '../repair';
import { type Site, siteOf } from '../site';
import type { WorkDraft } from '../work';
import { type Risk, YEARS } from './future';
import { cleanedEvery, risksOf } from './risks';

const A = assumptionsInForce({});
const zone: Said = { kind: 'zone', side: 'far', zone: 'yard', readingFt: 0 };
const risks = (site: Site, works: readonly WorkDraft[] = []): Risk[] =>
  risksOf(site, planAsIs(site, 'own', works));
const one = (site: Site, kind: Risk['kind'], works: readonly WorkDraft[] = []) =>
  risks(site, works).find((risk) => risk.kind === kind);
const siteWith = (said: Said, changes: Parameters<typeof assessmentOf>[1] = {}) =>
  siteOf(assessmentOf([zone, said], changes));

describe('what may go wrong, by hand from the assumptions', () => {
  it('roots clog more each year without a cleaning, and more in a small bore and with more households', () => {
    const roots = defect('roots', { extentRatio: 0.2, locus: 'joint' });
    const plain = one(siteWith(roots), 'clog')!;
    expect(plain.chances[0]).toBeCloseTo(A.clogModerate, 9);
    expect(plain.chances[2]).toBeCloseTo(A.clogModerate * A.clogGrowth ** 2, 9);
    expect(plain.chances.at(-1)).toBe(0.9);
    expect(plain.clearedEvery).toBeNull();
    const crowded = siteOf(
      assess(lineIn('vitrified-clay', 3, [zone, roots], { property: { households: 3 } })),
    );
    expect(one(crowded, 'clog')!.chances[0]).toBeCloseTo(
      A.clogModerate * A.householdFactor ** 2 * A.smallBoreFactor,
      9,
    );
  });

  it('a cleaning that is done now comes round, and clears what has grown', () => {
    const site = siteWith(defect('roots', { extentRatio: 0.2, locus: 'joint' }));
    const cut: WorkDraft = { method: 'cut', lineId: 'main-line', fromFt: 29, toFt: 31 };
    expect(one(site, 'clog', [cut])!.clearedEvery).toBe(2);
    expect(cleanedEvery(site.owned[0]!, A)).toBe(A.upkeepYearsModerate);
    const scale = siteWith(defect('scale', { extentRatio: 0.3 }));
    expect(cleanedEvery(scale.owned[0]!, A)).toBe(A.descaleYears);
    expect(one(scale, 'clog')!.chances[1]).toBeCloseTo(A.clogMajor * A.scaleGrowth, 9);
  });

  it('a sag catches as often every year, and a structural fault gives way by Weibull’s law, once', () => {
    const sag = one(siteWith(pool({ fillRatio: 0.5 })), 'catch')!;
    expect(sag).toMatchObject({ after: 'again', cost: A.backupCost });
    expect(new Set(sag.chances).size).toBe(1);
    expect(sag.chances[0]).toBe(A.catchMajor);
    const hole = one(siteWith(defect('hole')), 'break')!;
    expect(hole.after).toBe('never');
    // 63 in 100 give way by the scale of the law, taken over whole years.
    const stands = hole.chances
      .slice(0, A.breakYearsMajor)
      .reduce((all, chance) => all * (1 - chance), 1);
    expect(1 - stands).toBeCloseTo(1 - Math.exp(-1), 9);
    expect(hole.cost).toBeGreaterThan(A.backupCost + 1000);
  });

  it('what is mended does nothing any more, and slight faults of the pipe never do', () => {
    const site = siteWith(defect('hole'));
    const dig: WorkDraft = { method: 'dig', lineId: 'main-line', fromFt: 28, toFt: 32 };
    expect(one(site, 'break', [dig])).toBeUndefined();
    expect(one(siteWith(defect('crack', { form: 'hairline' })), 'break')).toBeUndefined();
  });

  it('pipe wears out by its feet, its age and its kind; what is renewed does not', () => {
    const old = siteOf(assess(lineIn('cast-iron', 4, [zone], { property: { yearBuilt: 1930 } })));
    const age = one(old, 'age')!;
    expect(age.name).toBe('60 ft of cast iron wearing out');
    expect(age.chances).toHaveLength(YEARS);
    expect(
      age.chances.every((chance, year) => year === 0 || chance >= age.chances[year - 1]!),
    ).toBe(true);
    const half: WorkDraft = { method: 'dig', lineId: 'main-line', fromFt: 0, toFt: 30 };
    const left = one(old, 'age', [half])!;
    expect(left.name).toBe('30 ft of cast iron wearing out');
    // Half the feet: the chance of none is the square root.
    expect((1 - left.chances[0]!) ** 2).toBeCloseTo(1 - age.chances[0]!, 9);
    const new2005 = siteOf(assess(lineIn('pvc', 4, [zone], { property: { yearBuilt: 2005 } })));
    expect(one(new2005, 'age')!.chances[0]).toBeLessThan(age.chances[0]! / 10);
  });
});

describe('what is refused', () => {
  it('is cheaper than what is taken, with the reason of its method', () => {
    const assessment = assessmentOf([zone, pool({ fillRatio: 0.5 })]);
    const { refusals, plans } = repairOf(assessment);
    const fixing = refusals.get('fix-failing')!;
    expect(plans[1]!.works[0]!.method).toBe('dig');
    expect(fixing.map(({ method }) => method)).toContain('jet');
    for (const { because, method } of fixing)
      if (['liner', 'patch-liner'].includes(method)) expect(because).toMatch(/keeps a sag/);
    const costs = fixing.map(({ cost }) => cost.likely);
    expect(costs).toEqual([...costs].sort((a, b) => a - b));
  });
});
