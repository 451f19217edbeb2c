import { describe, expect, it } from 'vitest';
import { assessmentOf, type Said } from '../testing/build';
import { checkWorks } from './check-works';
import { creditWorks } from './credit';
import { priceWorks } from './price-works';
import { type Site, siteOf } from './site';
import type { WorkDraft } from './work';

const YARD: Said = { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 };
const HOUSE: Said = { kind: 'zone', zone: 'under-house', side: 'far', readingFt: 0 };
const WALL: Said = { kind: 'feature', feature: 'wall', readingFt: 50 };
const defect = (kind: string, readingFt: number, more: object = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt,
  ...more,
});
type Changes = NonNullable<Parameters<typeof assessmentOf>[1]>;
const INDOORS: NonNullable<Changes['accessPoints']>[number] = {
  id: 'A',
  kind: 'pulled-toilet',
  diameterIn: 3,
  material: 'abs',
  place: 'bath',
  zone: 'under-house',
  alongLine: 'house-end',
  usable: true,
  obstacle: null,
};
const site = (said: readonly Said[], changes: Changes = {}) =>
  siteOf(assessmentOf([YARD, ...said], changes));
const work = (
  method: WorkDraft['method'],
  fromFt: number,
  toFt: number,
  more: Partial<WorkDraft> = {},
): WorkDraft => ({ method, lineId: 'main-line', fromFt, toFt, ...more });
/** Rules that works break: which, of what work, over which finding. */
const broken = (at: Site, ...works: readonly WorkDraft[]) =>
  checkWorks(at, priceWorks(at, works)).map(({ rule, at: index, findingId }) => [
    rule,
    index,
    at.assessment.findings.find(({ id }) => id === findingId)?.number ?? null,
  ]);
const credited = (at: Site, ...works: readonly WorkDraft[]) =>
  creditWorks(at, priceWorks(at, works)).map(({ cures, holds }) => [cures.length, holds.length]);

describe('works as somebody means to do them', () => {
  const broke = defect('break', 20, { toReadingFt: 24, form: 'displaced' });

  it('break no rule where they can be done as they stand', () => {
    expect(broken(site([]), work('dig', 10, 20))).toEqual([]);
    expect(broken(site([]), work('jet', 0, 60), work('liner', 0, 60))).toEqual([]);
  });

  it('want under what they are done: a dig opens no floor, new pipe is hung in the open only', () => {
    const under = siteOf(
      assessmentOf([HOUSE, WALL], {
        job: { scope: 'lateral-and-building-drain' },
        accessPoints: [INDOORS],
      }),
    );
    const rules = checkWorks(under, priceWorks(under, [work('dig', 10, 20)]));
    expect(rules.map(({ rule }) => rule)).toContain('ground');
    expect(rules[0]!.text).toMatch(/not for 10 ft of it, which lies under the house\.$/);
    expect(broken(site([]), work('replace-exposed', 10, 20))).toEqual([['ground', 0, null]]);
  });

  it('want first what they need, all of it', () => {
    const clean = site([]);
    const liner = work('liner', 0, 60);
    expect(broken(clean, liner)).toEqual([['first', 0, null]]);
    expect(broken(clean, work('jet', 0, 30), liner)).toEqual([['first', 1, null]]);
    expect(broken(clean, work('jet', 0, 30), work('jet', 30, 60), liner)).toEqual([]);
  });

  it('pass nothing that stops them, unless what stops them is out of the way before', () => {
    const fallen = site([defect('collapse', 20)]);
    const lined = [work('jet', 0, 60), work('liner', 0, 60)] as const;
    expect(broken(fallen, ...lined)).toEqual([
      ['passes', 0, 1],
      ['passes', 1, 1],
      ['urgent', null, 1],
    ]);
    const dug = work('dig', 16, 24);
    expect(broken(fallen, dug, ...lined)).toEqual([]);
    // What comes after it leaves it in the way.
    const rules = broken(fallen, work('patch-liner', 16, 24, { order: 99 }), ...lined);
    expect(rules).toContainEqual(['passes', 2, 1]);
  });

  it('end what is urgent', () => {
    const fallen = site([defect('collapse', 20)]);
    expect(broken(fallen)).toEqual([['urgent', null, 1]]);
    expect(broken(fallen, work('dig', 40, 50))).toEqual([['urgent', null, 1]]);
    expect(broken(fallen, work('dig', 16, 24))).toEqual([]);
  });

  it('stop short of nothing that they mend', () => {
    const cracked = site([broke]);
    const [finding] = cracked.owned;
    expect(finding!.action).toBe('repair');
    expect(broken(cracked, work('dig', 21, 23))).toEqual([['short', 0, 1]]);
    expect(broken(cracked, work('dig', 16, 28))).toEqual([]);
    expect(broken(cracked, work('dig', 30, 40))).toEqual([]);
  });

  it('do not mend over a sag that they keep; a hose that goes over it claims nothing', () => {
    const sag = site([
      defect('standing-water', 20, { toReadingFt: 26, fillRatio: 0.4, waterRunning: false }),
    ]);
    const over = broken(sag, work('jet', 0, 60), work('liner', 10, 40));
    expect(over.map(([rule, at]) => [rule, at])).not.toContainEqual(['keeps', 0]);
    expect(over.some(([rule, at]) => at === 1 && (rule === 'keeps' || rule === 'passes'))).toBe(
      true,
    );
  });

  it('dig nothing up that nobody knows yet, before it was looked at again', () => {
    const unknown = site([defect('infiltration', 20, { certainty: 'cannot-tell' })]);
    const [finding] = unknown.assessment.findings;
    expect(finding!.action).toBe('look-again');
    const dug = work('dig', 16, 24);
    expect(broken(unknown, dug)).toContainEqual(['look-first', null, 1]);
    expect(broken(unknown, work('look-again', 20, 20), dug)).not.toContainEqual([
      'look-first',
      null,
      1,
    ]);
    expect(broken(unknown, work('dig', 40, 50))).not.toContainEqual(['look-first', null, 1]);
  });

  it('find a cleanout that can be opened, or make one first', () => {
    const shut = site([], {
      accessPoints: [INDOORS],
    });
    expect(broken(shut, work('jet', 10, 20))).toContainEqual(['way-in', null, null]);
    expect(broken(shut, work('cleanout', 2, 2), work('jet', 10, 20))).not.toContainEqual([
      'way-in',
      null,
      null,
    ]);
    expect(broken(shut, work('dig', 10, 20))).toEqual([]);
  });
});

describe('what works end', () => {
  const roots = site([defect('roots', 20, { extentRatio: 0.3 })]);

  it('is given to the work that reaches over all of it', () => {
    expect(credited(roots, work('cut', 0, 30))).toEqual([[0, 1]]);
    expect(credited(roots, work('cut', 0, 10))).toEqual([[0, 0]]);
  });

  it('is given to the work that is there for it before one that is only there for another', () => {
    const first = work('cut', 0, 30, { isFirst: true });
    const meant = work('cut', 0, 30);
    for (const works of [
      [first, meant],
      [meant, first],
    ])
      expect(credited(roots, ...works)).toEqual(
        works.map((one) => (one === meant ? [0, 1] : [0, 0])),
      );
  });

  it('is given to nothing that cannot pass it', () => {
    const displaced = site([defect('break', 20, { form: 'displaced' })]);
    expect(credited(displaced, work('jet', 0, 60), work('liner', 0, 60))).toEqual([
      [0, 0],
      [0, 0],
    ]);
    expect(credited(displaced, work('dig', 10, 30))).toEqual([[1, 0]]);
  });

  it('is given to several that only together reach over it', () => {
    const long = site([
      defect('crack', 20, { crackType: 'lengthwise', toReadingFt: 40, form: 'open' }),
    ]);
    expect(credited(long, work('dig', 10, 30), work('dig', 30, 50))).toEqual([
      [1, 0],
      [1, 0],
    ]);
    expect(credited(long, work('dig', 10, 30), work('dig', 35, 50))).toEqual([
      [0, 0],
      [0, 0],
    ]);
  });
});
