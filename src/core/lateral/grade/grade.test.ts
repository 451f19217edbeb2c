import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assessmentOf, CLAY, type Said } from '../../testing/build';
import { heldVolumeGal } from '../fill';
import { judgeFall } from './grade';
import { measureHeldWater } from './held-water';
import { usualFallInPerFt } from './required-fall';

const locate = (readingFt: number, depthIn: number, groundIn: number, more: object = {}): Said => ({
  kind: 'locate',
  readingFt,
  depthIn,
  groundIn,
  ...more,
});
const gradeOf = (said: Said[], job: object = {}, settings: object = {}) =>
  assessmentOf(said, { job, settings }).lateral.grade;

describe('inverts', () => {
  it('are ground less depth less the height of the transmitter', () => {
    // Level ground at 100 in; 30 in to the head, which rides 1 in over the invert: 69 in.
    const [point] = gradeOf([locate(10, 30, 100)]).points;
    expect(point).toMatchObject({ stationFt: 10, invertIn: 69, depthIn: 31 });
    // σ = 1 in + 3% of 30 in.
    expect(point!.sigmaIn).toBeCloseTo(1.9, 9);
    const raised = gradeOf([locate(10, 30, 100)], {}, { transmitterHeightIn: 2.5 });
    expect(raised.points[0]!.invertIn).toBe(67.5);
  });
  it('lie behind the lens by the transmitter’s offset', () => {
    const [point] = gradeOf([locate(10, 30, 100)], {}, { transmitterBehindIn: 9 }).points;
    expect(point!.stationFt).toBeCloseTo(9.25, 9);
  });
  it('take the middle of a range, and half of it as σ when that is more', () => {
    const [point] = gradeOf([locate(10, 30, 100, { depthToIn: 38 })]).points;
    expect(point).toMatchObject({ invertIn: 65, sigmaIn: 4 });
  });
  it('of one place are averaged by weight; without a level there is a depth and no invert', () => {
    const { points, located } = gradeOf([
      locate(10, 30, 100),
      locate(11, 32, 100),
      { kind: 'locate', readingFt: 40, depthIn: 36 },
      { kind: 'locate', readingFt: 50, blockedBy: 'parked truck' },
    ]);
    expect(points).toHaveLength(1);
    // Weights 1/1.9² and 1/1.96²: 69 and 67 give 68.03.
    const [w1, w2] = [1 / 1.9 ** 2, 1 / 1.96 ** 2];
    expect(points[0]!.invertIn).toBeCloseTo((69 * w1 + 67 * w2) / (w1 + w2), 9);
    expect(points[0]!.sigmaIn).toBeCloseTo(Math.sqrt(1 / (w1 + w2)), 9);
    expect(located.map(({ invertIn }) => invertIn === null)).toEqual([false, true]);
  });
});

describe('fall', () => {
  it('between two points, worked by hand', () => {
    // 50 ft of 6 in clay falling from 69 to 60 in: 9 in, 0.18 in/ft; ⅛ in/ft asks for 6.25 in.
    const { whole, verdict, stretches } = gradeOf([locate(5, 30, 100), locate(55, 39, 100)]);
    expect(whole).toMatchObject({ fromFt: 5, toFt: 55, availableIn: 9, requiredIn: 6.25 });
    expect(whole!.slopeInPerFt).toBeCloseTo(0.18, 9);
    expect(whole!.sigmaIn).toBeCloseTo(Math.hypot(1.9, 2.17, 0.25, 0.25), 9);
    expect(stretches).toHaveLength(1);
    // 2.75 in to spare against 2σ of 5.8 in.
    expect(verdict).toBe('cannot-be-told');
  });
  it.each<[string, number, 'can' | 'cannot' | 'cannot-be-told']>([
    ['plenty to spare', 60, 'can'],
    ['uphill', 20, 'cannot'],
    ['about enough', 37, 'cannot-be-told'],
  ])('%s: gravity %s', (_, depthIn, verdict) => {
    expect(gradeOf([locate(5, 30, 100), locate(55, depthIn, 100)]).verdict).toBe(verdict);
  });
  it('is asked for by the local rule before the usual one', () => {
    const steep = gradeOf([locate(5, 30, 100), locate(55, 39, 100)], { minFallInPerFt: 0.25 });
    expect(steep.whole!.requiredIn).toBeCloseTo(12.5, 9);
  });
  it('is asked for by each bore over its own length', () => {
    const { whole } = gradeOf([
      { ...CLAY, readingFt: 25, diameterIn: 3, material: 'abs' },
      locate(5, 30, 100),
      locate(55, 39, 100),
    ]);
    // 20 ft of 6 in at ⅛ and 30 ft of 3 in at ¼.
    expect(whole!.requiredIn).toBeCloseTo(20 / 8 + 30 / 4, 9);
    expect([2, 3, 4, 6, 8].map((bore) => usualFallInPerFt(bore))).toEqual([
      0.25, 0.25, 0.125, 0.125, 0.0625,
    ]);
  });
  it('cannot be told from one point', () => {
    const { whole, verdict } = gradeOf([locate(5, 30, 100)]);
    expect(whole).toBeNull();
    expect(verdict).toBe('cannot-be-told');
  });
  it('needs more than 2σ to say anything, either way', () => {
    const fall = {
      fromFt: 0,
      toFt: 50,
      requiredIn: 6,
      sigmaIn: 1,
      slopeInPerFt: 0,
      slopeSigmaInPerFt: 0,
    };
    const at = (availableIn: number) => judgeFall({ ...fall, availableIn });
    expect([at(4), at(3.9), at(8), at(8.1)]).toEqual([
      'cannot-be-told',
      'cannot',
      'cannot-be-told',
      'can',
    ]);
  });
});

describe('held water', () => {
  const pool = (fromFt: number, toFt: number, fillRatio: number | null = 0.5) => ({
    fromFt,
    toFt,
    fillRatio,
    boreIn: 4,
    number: 1,
    verified: true,
  });
  it('adds up pools, counts shared feet once, and leaves out what has no depth', () => {
    const held = measureHeldWater(
      [pool(10, 20), pool(18, 24), pool(40, 44, null)],
      [{ fromFt: 0, toFt: 56 }],
    );
    expect(held.wetFt).toBe(18);
    expect(held.wetRatio).toBeCloseTo(18 / 56, 9);
    // Half of a 4 in bore: π/4 · (1/3 ft)² / 2 = 0.04363 sq ft, 7.4805 gal to the cubic foot.
    expect(held.heldGal).toBeCloseTo(0.0436332 * 16 * 7.480519, 4);
    expect(held.pools[2]!.heldGal).toBeNull();
  });
  it('never holds more than a full pipe, and more when deeper', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(heldVolumeGal(low, 4, 10)).toBeLessThanOrEqual(heldVolumeGal(high, 4, 10) + 1e-9);
        expect(heldVolumeGal(high, 4, 10)).toBeLessThanOrEqual(heldVolumeGal(1, 4, 10) + 1e-9);
      }),
    );
  });
});
