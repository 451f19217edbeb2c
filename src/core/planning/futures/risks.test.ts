import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { assumptionsInForce } from '../../model/job/assumptions';
import { assessmentOf, type Said } from '../../testing/build';
import { defect, lineIn, pool } from '../../testing/rules';
import { valueLooks } from '../look-value';
import { planAsIs } from '../plans/plan';
import { repairOf } from '../repair';
import { type Site, siteOf } from '../site';
import type { WorkDraft } from '../work';
import { type Risk, YEARS } from './future';
import { risksOf } from './risks';
import { cleanedEvery, roundOf } from './rounds';
import { weibullYears } from './wearing-out';

const A = assumptionsInForce({});
const zone: Said = { kind: 'zone', side: 'far', zone: 'yard', readingFt: 0 };
const risks = (site: Site, works: readonly WorkDraft[] = []): Risk[] =>
  risksOf(site, planAsIs(site, 'own', works), valueLooks(site));
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
    // Nobody cleans them: they have grown for about as long as it takes to ask for cleaning.
    expect(plain).toMatchObject({ clearedEvery: null, startsAt: A.upkeepYearsModerate });
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
    expect(one(site, 'clog', [cut])).toMatchObject({ clearedEvery: 2, startsAt: 0 });
    expect(cleanedEvery(site.owned[0]!, A)).toBe(A.upkeepYearsModerate);
    const scale = siteWith(defect('scale', { extentRatio: 0.3 }));
    expect(cleanedEvery(scale.owned[0]!, A)).toBe(A.descaleYears);
    expect(one(scale, 'clog')!.chances[1]).toBeCloseTo(A.clogMajor * A.scaleGrowth, 9);
  });

  it('a sag catches as often every year, and a structural fault gives way by Weibull’s law, once', () => {
    const sag = one(siteWith(pool({ fillRatio: 0.5 })), 'catch')!;
    expect(sag).toMatchObject({ after: 'again', cost: A.backupCost });
    expect(new Set(sag.chances).size).toBe(1);
    expect(sag.chances[0]).toBeCloseTo(A.catchMajor, 12);
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

  it('two places with roots clog little oftener than the worse: h = h₁ + (1 − 0.7) h₂', () => {
    const at = (readingFt: number) =>
      defect('roots', { extentRatio: 0.2, locus: 'joint', readingFt });
    const two = siteOf(assessmentOf([zone, at(20), at(40)]));
    const all = risks(two).filter(({ kind }) => kind === 'clog');
    expect(all).toHaveLength(1);
    expect(all[0]!.findingIds).toHaveLength(2);
    // 1 − (1 − 0.015)^1.3
    expect(all[0]!.chances[0]).toBeCloseTo(0.019_456, 6);
  });

  it('what is blocked, or has given way, is not to come: it has come', () => {
    expect(one(siteWith(defect('break', { form: 'displaced' })), 'break')!.startsAt).toBe('failed');
    expect(one(siteWith(defect('roots', { extentRatio: 0.8 })), 'clog')!.startsAt).toBe('failed');
    expect(one(siteWith(defect('hole')), 'break')!.startsAt).toBe(0);
  });

  it('a flow test that backed up has failed the worst that may hold the water, or else the line itself', () => {
    const backed: Said = { kind: 'flow-test', fixture: 'tub', result: 'backs-up', readingFt: null };
    const withSag = siteOf(assessmentOf([zone, pool({ fillRatio: 0.5 }), backed]));
    expect(one(withSag, 'catch')!.startsAt).toBe('failed');
    expect(one(withSag, 'use')!.startsAt).toBe(0);
    expect(one(siteOf(assessmentOf([zone, backed])), 'use')!.startsAt).toBe('failed');
  });

  it('what backed up is over when its worst cause is cleaned, and a slight thing that is left did not do it', () => {
    const backed: Said = { kind: 'flow-test', fixture: 'tub', result: 'backs-up', readingFt: null };
    const worst = defect('roots', { extentRatio: 0.8, locus: 'joint' });
    const slight: Said = defect('grease', { extentRatio: 0.05, readingFt: 45 });
    const site = siteOf(assessmentOf([zone, worst, slight, backed]));
    const cut: WorkDraft = { method: 'cut', lineId: 'main-line', fromFt: 0, toFt: 31 };
    expect(risks(site).filter(({ startsAt }) => startsAt === 'failed')).toHaveLength(1);
    expect(risks(site, [cut]).filter(({ startsAt }) => startsAt === 'failed')).toEqual([]);
    // A crack explains no backup: then it is the line as it is used.
    const crack = siteOf(assessmentOf([zone, defect('crack', { form: 'open' }), backed]));
    expect(one(crack, 'use')!.startsAt).toBe('failed');
  });

  it('any line may back up, more with more households', () => {
    const sound = one(siteOf(assessmentOf([zone])), 'use')!;
    expect(new Set(sound.chances)).toEqual(new Set([0.005]));
    const two = siteOf(assess(lineIn('pvc', 4, [zone], { property: { households: 2 } })));
    expect(one(two, 'use')!.chances[0]).toBeCloseTo(0.006_25, 9);
  });

  it('a sag that is flushed every year catches less often, and the flushing is paid', () => {
    const site = siteWith(pool({ fillRatio: 0.4 }));
    const { span } = site.owned[0]!;
    const plan = planAsIs(site, 'own', [{ method: 'flush', lineId: 'main-line', ...span }]);
    expect(plan.holds).toEqual([site.owned[0]!.id]);
    expect(roundOf(site, plan.works)).toBe(1);
    const flushed = risksOf(site, plan, []).find(({ kind }) => kind === 'catch')!;
    expect(flushed.chances[0]).toBeCloseTo(A.catchMajor * A.flushFactor, 9);
  });

  it('what a look may show is paid with its chance, and the finding does nothing else', () => {
    const held = siteWith(defect('unidentified', { readingFt: 30, certainty: 'suspected' }));
    const look: WorkDraft = { method: 'look-again', lineId: 'main-line', fromFt: 29, toFt: 31 };
    const [value] = valueLooks(held);
    const follow = one(held, 'follow', [look])!;
    const paid = value!.paths.reduce((sum, { chance, cost }) => sum + chance * cost, 0);
    expect(follow.chances[0]! * follow.cost).toBeCloseTo(paid, 6);
    expect(follow.backsUp).toBe(false);
    expect(one(held, 'follow')).toBeUndefined();
  });

  it('pipe of uncertain age lasts as the mean of its ages, each as likely: by hand', () => {
    // Scale 10, shape 2. Age 0 lasts a year with e^−0.01, age 10 with e^(1 − 1.21).
    const [first, second] = weibullYears([0, 10], 10, 2);
    const lasts1 = (Math.exp(-0.01) + Math.exp(-0.21)) / 2;
    expect(first).toBeCloseTo(1 - lasts1, 12);
    const lasts2 = (Math.exp(-0.04) + Math.exp(-0.44)) / 2;
    expect(second).toBeCloseTo(1 - lasts2 / lasts1, 12);
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
    // Half the feet: the chance of none is about the square root (just so for pipe of one age).
    expect((1 - left.chances[0]!) ** 2).toBeCloseTo(1 - age.chances[0]!, 3);
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
