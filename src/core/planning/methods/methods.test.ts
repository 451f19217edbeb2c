import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { METHOD_IDS, type MethodId } from '../../catalogue/method-ids';
import type { Finding } from '../../judge/finding';
import { PRICE_TABLE } from '../../model/prices/price-table';
import { assessmentOf, CLAY, type Said } from '../../testing/build';
import { defect, lineIn, pool } from '../../testing/rules';
import { bedOf, type Site, siteOf } from '../site';
import { whyNotOver } from '../ways';
import { methodById, METHODS } from './index';

const zone = (name: string): Said => ({ kind: 'zone', side: 'far', zone: name, readingFt: 0 });
/** The outer wall: where the building ends, and with it what is called inside. */
const wall: Said = { kind: 'feature', feature: 'wall', readingFt: 58 };
const site = (said: readonly Said[]): Site => siteOf(assessmentOf([zone('yard'), ...said]));
const found = (there: Site, kind: Finding['kind']) =>
  there.assessment.findings.find((one) => one.kind === kind)!;
const does = (method: MethodId, said: Said) => {
  const there = site([said]);
  return (
    methodById(method).verdict(found(there, said['defect'] as Finding['kind']), there)?.does ?? null
  );
};
const bars = (method: MethodId, said: Said) => {
  const there = site([said]);
  return (
    methodById(method).barredBy(found(there, said['defect'] as Finding['kind']), there) !== null
  );
};

const SAG = pool({ fillRatio: 0.5 });
const ROOTS = defect('roots', { extentRatio: 0.4, locus: 'joint' });
const CRACK = defect('crack', { form: 'multiple' });
const GONE = defect('break', { form: 'invert missing', soilVisible: true });
const COLLAPSE = defect('collapse');
const SCALE = defect('scale', { extentRatio: 0.3 });
const DEBRIS = defect('debris', { extentRatio: 0.3 });
const LIP = defect('lip', { lipIn: 0.6 });
const TAP = defect('intruding-tap', { extentRatio: 0.2 });

describe('what each method does for what was found', () => {
  it.each<[MethodId, Said, 'cure' | 'hold' | 'no' | null]>([
    ['dig', SAG, 'cure'],
    ['dig', ROOTS, 'cure'],
    ['dig', COLLAPSE, 'cure'],
    ['liner', SAG, 'no'],
    ['liner', ROOTS, 'cure'],
    ['liner', CRACK, 'cure'],
    ['liner', GONE, 'no'],
    ['burst', SAG, 'no'],
    ['burst', CRACK, 'cure'],
    ['burst', COLLAPSE, 'no'],
    ['patch-liner', SAG, 'no'],
    ['cut', ROOTS, 'hold'],
    ['cut', CRACK, null],
    ['jet', ROOTS, 'hold'],
    ['jet', DEBRIS, 'cure'],
    ['jet', SAG, 'no'],
    ['treat-roots', ROOTS, 'hold'],
    ['descale', SCALE, 'cure'],
    ['descale', ROOTS, null],
    ['ramp-lip', LIP, 'cure'],
    ['ramp-lip', CRACK, null],
    ['dig', TAP, 'cure'],
    ['look-again', CRACK, null],
    ['notify-authority', CRACK, null],
  ])('%s for %o: %s', (method, said, expected) => {
    expect(does(method, said)).toBe(expected);
  });
});

describe('what stands in the way of a method', () => {
  const offset = (offsetIn: number) => defect('offset', { offsetIn });
  const squashed = (extentRatio: number) => defect('deformation', { extentRatio });
  it.each<[MethodId, Said, boolean]>([
    // Bore 6 in: a quarter of it is 1.5 in.
    ['liner', offset(1.4), false],
    ['liner', offset(1.6), true],
    ['liner', squashed(0.14), false],
    ['liner', squashed(0.16), true],
    ['liner', COLLAPSE, true],
    ['burst', COLLAPSE, true],
    ['burst', offset(1.6), false],
    ['cut', GONE, true],
    ['jet', GONE, true],
    ['cut', CRACK, false],
    ['dig', COLLAPSE, false],
  ])('%s past %o: %s', (method, said, expected) => {
    expect(bars(method, said)).toBe(expected);
  });

  const inPipe = (material: string, method: MethodId, said: readonly Said[] = []) => {
    const there = siteOf(assess(lineIn(material, 4, [zone('yard'), ...said])));
    return whyNotOver(there, methodById(method), bedOf(there, 'main-line'), {
      fromFt: 28,
      toFt: 32,
    });
  };
  it.each<[string, MethodId, RegExp | null]>([
    ['bituminous-fiber', 'cut', /tears tar-paper pipe/],
    ['bituminous-fiber', 'jet', /high pressure tears/],
    ['bituminous-fiber', 'descale', /tears/],
    ['asbestos-cement', 'descale', /must not be ground/],
    ['asbestos-cement', 'dig', null],
    ['pvc', 'burst', /does not burst/],
    ['vitrified-clay', 'burst', null],
    ['vitrified-clay', 'jet', null],
    ['vitrified-clay', 'slab-break', /not for this ground/],
    ['vitrified-clay', 'replace-exposed', /not for this ground/],
  ])('in %s, %s: %s', (material, method, why) => {
    const said = inPipe(material, method);
    if (why === null) expect(said).toBeNull();
    else expect(said).toMatch(why);
  });

  it('nothing cuts, jets or scrapes a line that another utility runs through', () => {
    const utility = defect('utility-crossing', { readingFt: 10 });
    for (const method of ['cut', 'jet', 'descale', 'liner', 'patch-liner', 'burst'] as const)
      expect(inPipe('cast-iron', method, [utility]), method).toMatch(/utility/);
    // Nor does anything else begin there before the utility is dealt with.
    expect(inPipe('cast-iron', 'dig', [utility])).toMatch(/waits until it is dealt with/);
  });

  it('no descaling where iron is pitted or its invert is gone, and so no liner there either', () => {
    for (const form of ['pitted', 'invert gone']) {
      const worn = defect('wall-loss', { form });
      expect(inPipe('cast-iron', 'descale', [worn]), form).not.toBeNull();
      expect(inPipe('cast-iron', 'liner', [worn]), form).not.toBeNull();
    }
    expect(inPipe('cast-iron', 'descale', [defect('wall-loss', { form: 'rough' })])).toBeNull();
  });

  it('what must come first must be able to pass as well', () => {
    expect(inPipe('vitrified-clay', 'treat-roots', [ROOTS])).toBeNull();
    expect(inPipe('vitrified-clay', 'treat-roots', [ROOTS, GONE])).toMatch(/soil is visible/);
  });

  it.each([
    ['under-house', 'slab-break'],
    ['crawlspace', 'replace-exposed'],
    ['basement', 'replace-exposed'],
    ['street', 'dig'],
  ] as const)('under %s new pipe is laid by %s', (name, method) => {
    const there = siteOf(
      assessmentOf([zone(name), wall], { job: { scope: 'lateral-and-building-drain' } }),
    );
    const able = METHODS.filter(
      ({ role, id }) => role === 'replace' && !['reroute', 'burst', 'ejector'].includes(id),
    ).filter(
      (one) => whyNotOver(there, one, bedOf(there, 'main-line'), { fromFt: 20, toFt: 24 }) === null,
    );
    expect(able.map(({ id }) => id)).toEqual([method]);
  });
});

describe('the list of methods', () => {
  it('has each once, in the order of works, with prices that there are', () => {
    expect(METHODS.map(({ id }) => id).sort()).toEqual([...METHOD_IDS].sort());
    const orders = METHODS.map(({ order }) => order);
    expect(orders).toEqual([...orders].sort((a, b) => a - b));
    for (const { price } of METHODS)
      for (const key of Object.values(price)) expect(PRICE_TABLE).toHaveProperty([key]);
  });

  it('says who does it, and needs a permit wherever sewer pipe is replaced', () => {
    for (const { id, by, role, needsPermit } of METHODS) {
      expect(by.length, id).toBeGreaterThan(8);
      if (role === 'replace' && id !== 'ejector') expect(needsPermit, id).toBe(true);
    }
    expect(
      methodById('liner').firstIn(bedOf(site([]), 'main-line').cells[0]!, site([]), 'main-line'),
    ).toEqual(['jet']);
    expect(() => methodById('magic' as MethodId)).toThrow('magic');
    expect(CLAY['material']).toBe('vitrified-clay');
  });
});
