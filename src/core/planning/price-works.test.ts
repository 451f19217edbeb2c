import { describe, expect, it } from 'vitest';
import { depthFactor } from '../model/prices/price-table';
import { assessmentOf, type Said } from '../testing/build';
import { planOf } from './plans/plan';
import { priceWorks } from './price-works';
import { siteOf } from './site';
import type { WorkDraft } from './work';

const zone = (name: string, readingFt: number): Said => ({
  kind: 'zone',
  side: 'far',
  zone: name,
  readingFt,
});
const locate = (readingFt: number, depthIn: number): Said => ({
  kind: 'locate',
  readingFt,
  depthIn,
});
const work = (method: WorkDraft['method'], fromFt: number, toFt: number): WorkDraft => ({
  method,
  lineId: 'main-line',
  fromFt,
  toFt,
});
const ground = [zone('yard', 0), zone('driveway', 30), zone('strip', 40), zone('street', 50)];
const flat = siteOf(assessmentOf([...ground, locate(5, 36), locate(55, 36)]));
const likely = (works: readonly WorkDraft[], site = flat) =>
  priceWorks(site, works).map(({ cost }) => cost.likely);

describe('the price of works, by hand from the price table', () => {
  it.each<[string, WorkDraft[], number[]]>([
    // Crew 1,300, a pit 1,000, permit 300, 10 ft × 130, lawn 10 ft × 15.
    ['a dig in the yard', [work('dig', 10, 20)], [1300 + 1000 + 300 + 10 * 130 + 10 * 15]],
    // The second pays for its pit, its paving, 1,800 an opening, and its feet alone; driveway 80 a foot.
    [
      'two digs',
      [work('dig', 10, 14), work('dig', 32, 36)],
      [1300 + 1000 + 300 + 4 * 145, 1000 + 1800 + 4 * 210],
    ],
    // Half under the driveway, half under the strip, where a permit of the right of way is wanted.
    [
      'a dig over two surfaces',
      [work('dig', 35, 45)],
      [1300 + 1000 + 300 + 900 + 10 * 130 + 1800 + 5 * 80 + 5 * 25],
    ],
    ['jetting', [work('jet', 10, 12), work('jet', 20, 22)], [480 + 2 * 2, 2 * 2]],
    ['telling the authority', [work('notify-authority', 10, 10)], [0]],
  ])('%s', (_, works, expected) => {
    expect(likely(works)).toEqual(expected);
  });

  it('reopens each tee that a liner passes, and asks for each branch once', () => {
    const tees = [8, 12, 12.2, 25].map((readingFt): Said => ({
      kind: 'feature',
      feature: 'tee',
      readingFt,
    }));
    const site = siteOf(assessmentOf([...ground, ...tees]));
    const [lined] = priceWorks(site, [work('liner', 10, 26)]);
    expect(lined!.tees.map(({ stationFt }) => stationFt)).toEqual([12, 25]);
    expect(lined!.cost.likely).toBe(2200 + 1200 + 300 + 16 * 95 + 2 * 400);
  });

  it('makes a trench dearer where it is deeper, and says whether the depth was located', () => {
    const site = siteOf(assessmentOf([...ground, locate(0, 48), locate(60, 96)]));
    // Depth runs from 4 ft to 8 ft over 60 ft: 6 ft at station 30.
    const [dug] = priceWorks(site, [work('dig', 25, 35)]);
    const feet = dug!.lines.filter(({ key }) => key === 'dig.foot');
    // In the yard it goes from 5 to 6 ft: 1 to 1.2 times. Under the driveway, to 40 ft, from 6 to 6 2/3: 1.2 to 1.333.
    expect(feet.map(({ quantity }) => quantity)).toEqual([5, 5]);
    expect(feet[0]!.factor).toBeCloseTo(1.1, 6);
    expect(feet[1]!.factor).toBeCloseTo(1.2667, 4);
    // The pit is as deep as the deepest of it; all of it is protected.
    expect(dug!.lines.find(({ key }) => key === 'dig.each')!.factor).toBeCloseTo(1.2667, 4);
    expect(dug!.lines.find(({ key }) => key === 'shoring.foot')!.quantity).toBe(10);
    expect(dug!.depth).toMatchObject({ isLocated: true });
    expect(dug!.depth!.leastFt).toBeLessThan(dug!.depth!.mostFt);
    const assumed = priceWorks(siteOf(assessmentOf(ground)), [work('dig', 25, 35)])[0]!;
    expect(assumed.depth!.isLocated).toBe(false);
  });

  it('is a range from lawn to driveway where nobody said what lies over the pipe', () => {
    const [lawn] = priceWorks(siteOf(assessmentOf([zone('yard', 0)])), [work('dig', 25, 35)]);
    const [unsaid] = priceWorks(siteOf(assessmentOf([])), [work('dig', 25, 35)]);
    expect([unsaid!.cost.low, unsaid!.cost.likely]).toEqual([lawn!.cost.low, lawn!.cost.likely]);
    // By hand: an opening of up to 2,880 and 10 ft of up to 128 instead of 24. Highs of a sum are not summed.
    const highs = (of: typeof lawn) => of!.lines.reduce((sum, { cost }) => sum + cost.high, 0);
    expect(highs(unsaid) - highs(lawn)).toBeCloseTo(2880 + 10 * (130 - 24), -1);
    expect(unsaid!.lines.map(({ says }) => says).join()).toMatch(/the surface is not logged/);
  });

  it('adds up: lines to works, works to the likely price of the plan', () => {
    const plan = planOf(flat, 'own', [
      work('dig', 10, 20),
      work('liner', 21, 29),
      work('dig', 52, 56),
    ]);
    for (const { lines, cost } of plan.works)
      expect(lines.reduce((sum, line) => sum + line.cost.likely, 0)).toBeCloseTo(cost.likely, 6);
    const all = plan.works.reduce((sum, { cost }) => sum + cost.likely, 0);
    expect(plan.cost.likely).toBeCloseTo(all, 6);
    expect(plan.works.map(({ method, isFirst }) => `${method}${isFirst ? ' first' : ''}`)).toEqual([
      'dig',
      'dig',
      'jet first',
      'liner',
    ]);
  });

  it.each([
    [4, 1],
    [5, 1],
    [6.5, 1.3],
    [8, 1.6],
    [9.5, 2.1],
    [11, 2.6],
    [14, 4],
    [15.5, 4.7],
  ])('a trench %s ft deep: %s times', (depthFt, factor) => {
    expect(depthFactor(depthFt)).toBeCloseTo(factor, 9);
  });
});
