import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heldVolumeGal, wettedAngleRad, wettedAreaRatio } from './fill';

describe('fill', () => {
  it.each([
    [0, 0],
    [0.25, 0.1955],
    [0.5, 0.5],
    [1, 1],
  ])('a depth of %f wets %f of the area', (fill, area) => {
    expect(wettedAreaRatio(fill)).toBeCloseTo(area, 4);
  });

  it('half of a 4 in pipe 10 ft long holds 3.26 gallons', () => {
    // π/4 · (1/3)² ft² · ½ · 10 ft · 7.480519 gal/ft³
    expect(heldVolumeGal(0.5, 4, 10)).toBeCloseTo(3.264, 3);
  });

  it('wets a right angle’s worth of arc at the depth 1 − cos 45° gives, and holds odd depths to the bore', () => {
    // h/D = (1 − cos(θ/2))/2 with θ = π/2
    expect(wettedAngleRad((1 - Math.SQRT1_2) / 2)).toBeCloseTo(Math.PI / 2, 9);
    expect([wettedAreaRatio(-1), wettedAreaRatio(2)]).toEqual([0, 1]);
  });

  it('rises with depth, and what is wet below and dry above make up the whole', () => {
    const ratio = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(ratio, ratio, (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(wettedAreaRatio(high)).toBeGreaterThanOrEqual(wettedAreaRatio(low) - 1e-9);
        expect(wettedAreaRatio(a) + wettedAreaRatio(1 - a)).toBeCloseTo(1, 7);
      }),
    );
  });
});
