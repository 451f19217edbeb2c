import { describe, expect, it } from 'vitest';
import { assessmentOf, CLAY, MAIN_AT_60, type Said } from '../testing/build';
import { defect, pool } from '../testing/rules';
import { siteOf } from './site';
import { overWholeRun, weighWholeRuns } from './whole-runs';

const pvc: Said = { kind: 'material', side: 'far', material: 'pvc', diameterIn: 6, readingFt: 40 };
const roots = defect('roots', { extentRatio: 0.2, locus: 'joint', readingFt: 20 });
const runs = (...said: Said[]) => weighWholeRuns(siteOf(assessmentOf([CLAY, ...said, MAIN_AT_60])));

describe('a whole run of clay', () => {
  it('is weighed lined, burst and dug, each with all that it needs first', () => {
    const [run, ...more] = runs(pvc, roots);
    expect(more).toEqual([]);
    expect([run!.material, run!.fromFt, run!.toFt]).toEqual(['vitrified-clay', 0, 40]);
    expect(run!.ways.map(({ method, because }) => [method, because])).toEqual([
      ['liner', null],
      ['burst', null],
      ['dig', null],
    ]);
    // By hand: jet 480 + 40 × 2 first; mobilization 2,200, a length 1,200, permit 300, 40 ft × 95.
    expect(run!.ways[0]!.cost.likely).toBe(480 + 80 + 2200 + 1200 + 300 + 3800);
  });

  it('is not lined nor burst over a deep sag, and the reason is told', () => {
    const [run] = runs(pvc, roots, pool({ fillRatio: 0.5, readingFt: 25, toReadingFt: 33 }));
    const [liner, burst, dig] = run!.ways;
    expect([liner!.because, burst!.because]).toEqual(Array(2).fill('it would keep the sag'));
    expect(dig!.because).toBeNull();
  });

  it('is left alone where nothing in it is moderate, and plastic is no run to renew', () => {
    expect(runs(pvc)).toEqual([]);
    expect(runs(pvc, { ...roots, readingFt: 50 })).toEqual([]);
  });

  it('takes a work drawn out to its ends', () => {
    const site = siteOf(assessmentOf([CLAY, pvc, roots, MAIN_AT_60]));
    const spot = { method: 'dig' as const, lineId: 'main-line', fromFt: 18, toFt: 22 };
    expect(overWholeRun(site, spot)).toEqual({ ...spot, fromFt: 0, toFt: 40 });
  });
});
