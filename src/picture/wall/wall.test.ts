import { describe, expect, it } from 'vitest';
import { DEFECTS } from '#core/catalogue/defects/index';
import { MATERIALS } from '#core/catalogue/materials/index';
import { layPath } from '#core/simulator/path';
import type { TruthDefect, TruthFeature } from '#core/simulator/truth';
import { plainLateral } from '#core/testing/laterals';
import { placeRings } from '../bore';
import { noise3, rough3, stones3 } from '../noise';
import { shapeWall } from './wall';

/** The wall round station 20 of a straight 4 in clay line, whose rim is 2 ft before it. */
function wallWith(
  things: { defects?: readonly TruthDefect[]; features?: readonly TruthFeature[] },
  material: (typeof MATERIALS)[number] = 'vitrified-clay',
) {
  const pipes = [{ toFt: 60, material, diameterIn: 4 }];
  const path = layPath(plainLateral({ pipes, ...things }), 'A', 'downstream');
  const shaper = shapeWall(path, 15, 30);
  return {
    path,
    at: (stationFt: number, clock: number) => ({ ...shaper.at(stationFt + 2, clock) }),
  };
}
const BORE_FT = 2 / 12;

describe('clean pipe', () => {
  it.each(MATERIALS)('of %s is round, and of its own colour', (material) => {
    const { at } = wallWith({}, material);
    for (const clock of [0, 3, 5.5, 9]) {
      const { radiusFt, red, green, blue } = at(20, clock);
      expect(radiusFt).toBeGreaterThan(0.85 * BORE_FT);
      expect(radiusFt).toBeLessThan(1.1 * BORE_FT);
      for (const part of [red, green, blue]) {
        expect(part).toBeGreaterThanOrEqual(0);
        expect(part).toBeLessThanOrEqual(1);
      }
    }
  });
});

describe('what is wrong shapes the wall where it is, and nowhere else', () => {
  const inward: readonly (readonly [string, TruthDefect, clock: number])[] = [
    [
      'an offset at the clock called',
      { atFt: 20, defect: 'offset', offsetIn: 0.6, clockFrom: 9 },
      9,
    ],
    ['a lip at the invert', { atFt: 20, defect: 'lip', lipIn: 0.5 }, 6],
    ['a crushed crown', { atFt: 20, defect: 'deformation', extentRatio: 0.2 }, 12],
    ['a heap on the invert', { atFt: 20, defect: 'debris', extentRatio: 0.2 }, 6],
    ['scale', { atFt: 20, defect: 'scale', extentRatio: 0.4 }, 3],
    ['grease', { atFt: 20, defect: 'grease', extentRatio: 0.4 }, 3],
    ['a collapse', { atFt: 19.3, defect: 'collapse' }, 12],
  ];
  it.each(inward)('%s stands into the bore', (_what, defect, clock) => {
    const { at } = wallWith({ defects: [defect] });
    const least = Math.min(...[20.01, 20.03, 20.06, 20.1].map((atFt) => at(atFt, clock).radiusFt));
    expect(least).toBeLessThan(0.97 * BORE_FT);
    expect(at(26, clock).radiusFt).toBeCloseTo(BORE_FT, 2);
  });
  const outward: readonly (readonly [string, TruthDefect, clock: number])[] = [
    ['a missing wall', { atFt: 20, defect: 'break', form: 'wall missing', clockFrom: 2 }, 2],
    ['a missing invert', { atFt: 20, defect: 'break', form: 'invert missing' }, 6],
    ['a hole', { atFt: 20, defect: 'hole', clockFrom: 10 }, 10],
    ['a gap', { atFt: 20, defect: 'gap', gapIn: 1 }, 4],
    ['an invert that is gone', { atFt: 19, toFt: 21, defect: 'wall-loss', form: 'invert gone' }, 6],
  ];
  it.each(outward)('%s opens it to the soil', (_what, defect, clock) => {
    const { at } = wallWith({ defects: [defect] });
    expect(at(20, clock).radiusFt).toBeGreaterThan(1.05 * BORE_FT);
    expect(at(26, clock).radiusFt).toBeCloseTo(BORE_FT, 2);
  });
  it('water stains darken a line on both sides', () => {
    const { at } = wallWith({ defects: [{ atFt: 18, toFt: 22, defect: 'residue-line' }] }, 'pvc');
    const bright = (clock: number) => at(20, clock).red + at(20, clock).green + at(20, clock).blue;
    const least = Math.min(...[2.2, 2.4, 2.6, 2.8].map(bright));
    expect(least).toBeLessThan(0.6 * bright(12));
    expect(Math.min(...[9.8, 9.6, 9.4, 9.2].map(bright))).toBeCloseTo(least, 0);
  });
  it('a tee opens at its clock, a test tee shows its plug', () => {
    const tee = wallWith({ features: [{ atFt: 20, feature: 'tee', clock: 9 }] });
    expect(tee.at(20, 9).radiusFt).toBeGreaterThan(2 * BORE_FT);
    expect(tee.at(20, 3).radiusFt).toBeCloseTo(BORE_FT, 2);
    const plugged = wallWith({ features: [{ atFt: 20, feature: 'test-tee' }] });
    expect(plugged.at(20, 0).radiusFt).toBeLessThan(1.6 * BORE_FT);
    expect(plugged.at(20, 0.4).red).toBeGreaterThan(0.5);
  });
  it.each(DEFECTS)('%s never turns the wall inside out', (defect) => {
    const { at } = wallWith({
      defects: [{ atFt: 20, defect, extentRatio: 1, offsetIn: 3, lipIn: 3 }],
    });
    for (let atFt = 18; atFt < 23; atFt += 0.13)
      for (let clock = 0; clock < 12; clock += 0.7) {
        const { radiusFt } = at(atFt, clock);
        expect(radiusFt).toBeGreaterThan(0);
        expect(Number.isFinite(radiusFt)).toBe(true);
      }
  });
});

describe('rings', () => {
  it('cover the stretch in order, closer together at a thing', () => {
    const { path } = wallWith({ defects: [{ atFt: 20, defect: 'gap', gapIn: 1 }] });
    const rings = placeRings(path, 18, 30);
    expect([rings[0], rings.at(-1)]).toEqual([18, 30]);
    expect(rings.every((atFt, index) => index === 0 || atFt > rings[index - 1]!)).toBe(true);
    const between = (fromFt: number, toFt: number) =>
      rings.filter((atFt) => atFt >= fromFt && atFt < toFt).length;
    expect(between(21.8, 22.2)).toBeGreaterThan(2 * between(26.8, 27.2));
    expect(placeRings(path, 18, 30, true).length).toBeLessThan(rings.length);
  });
});

describe('noise', () => {
  it('is the same each time, within 0 and 1, and smooth', () => {
    for (let step = 0; step < 400; step += 1) {
      const x = step * 0.37;
      expect(noise3(x, 2, 3)).toBe(noise3(x, 2, 3));
      for (const value of [noise3(x, 2.2, 3.1), rough3(x, 2.2, 3.1), stones3(x, 2, 3).own]) {
        expect(value).toBeGreaterThanOrEqual(0);
        expect(value).toBeLessThanOrEqual(1);
      }
      expect(Math.abs(noise3(x, 1, 1) - noise3(x + 0.001, 1, 1))).toBeLessThan(0.01);
    }
  });
});
