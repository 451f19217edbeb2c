import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { StillMeasure, StillMeasureKind, Touch } from '../model/log/still-measure';
import { bend, type Glass, straighten } from './lens';
import { markPoints, marksOf } from './marks';
import { measureStill } from './measure';
import { fitPipe, inPipe, onPicture } from './pipe-fit';
import { fillTo, hoursAt, shareWithin } from './shares';

const GLASS: Glass = { aspect: 1.6, distortion: 0 };
const round = (hours: number, out = 1) => {
  const angle = (hours * Math.PI) / 6;
  return { x: Math.sin(angle) * out, y: -Math.cos(angle) * out };
};
/** A joint of radius .6 half heights, its middle a little right of and below the picture's. */
const RING = { centre: { x: 0.1, y: 0.05 }, radius: 0.6, stretch: [0, 0], offRms: 0 } as const;
const touchAt = (hours: number, out = 1): Touch => bend(onPicture(RING, round(hours, out)), GLASS);
const PIPE = [1, 3.5, 6, 8, 10.5].map((hours) => touchAt(hours));
const measure = (what: StillMeasureKind, on: readonly Touch[], more: Partial<StillMeasure> = {}) =>
  measureStill({ photoId: 'P', what, aspect: 1.6, pipe: PIPE, on, ...more }, 4);

describe('the pipe', () => {
  it('is found by three touches and more, wherever they lie on its edge', () => {
    fc.assert(
      fc.property(
        // Three spread over a third of the edge at least, and others anywhere.
        fc.tuple(
          fc.double({ min: 0, max: 12, noNaN: true }),
          fc.double({ min: 2, max: 4, noNaN: true }),
        ),
        fc.array(fc.double({ min: 0, max: 12, noNaN: true }), { maxLength: 9 }),
        fc.double({ min: 0.2, max: 1.4, noNaN: true }),
        ([first, apart], others, radius) => {
          const hours = [first, first + apart, first + 2 * apart, ...others];
          const ring = { ...RING, radius };
          const fit = fitPipe(hours.map((hour) => onPicture(ring, round(hour))))!;
          expect(fit.radius).toBeCloseTo(radius, 4);
          expect(fit.centre.x).toBeCloseTo(0.1, 4);
          expect(fit.offRms).toBeLessThan(1e-4);
        },
      ),
    );
  });
  it('is an ellipse where many touches say so, and nearly a circle where three do', () => {
    const seen = { ...RING, stretch: [0.08, 0.03] as const };
    const at = (count: number) =>
      fitPipe(Array.from({ length: count }, (_, i) => onPicture(seen, round((12 * i) / count))))!;
    expect(at(16).stretch[0]).toBeCloseTo(0.08, 2);
    expect(at(16).stretch[1]).toBeCloseTo(0.03, 2);
    expect(Math.abs(at(3).stretch[0])).toBeLessThan(0.08);
  });
  it('is not found on a line', () => {
    expect(fitPipe([0, 1, 2].map((x) => ({ x, y: 2 * x })))).toBeNull();
    expect(fitPipe([round(1), round(2)])).toBeNull();
  });
  it('and the picture are each the way back from the other', () => {
    const seen = { ...RING, stretch: [0.2, -0.1] as const };
    const there = inPipe(seen, onPicture(seen, { x: 0.3, y: -0.4 }));
    expect(there.x).toBeCloseTo(0.3, 9);
    expect(there.y).toBeCloseTo(-0.4, 9);
  });
});

describe('a lens', () => {
  it('bends what it straightens', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: -0.2, max: 0.1, noNaN: true }),
        (x, y, distortion) => {
          const glass = { aspect: 1.6, distortion };
          const back = bend(straighten([x, y], glass), glass);
          expect(back[0]).toBeCloseTo(x, 6);
          expect(back[1]).toBeCloseTo(y, 6);
        },
      ),
    );
  });
});

describe('shares of the pipe', () => {
  it.each([
    ['through the middle', [round(3), round(9)], 0.5],
    ['a quarter up', [round(4), round(8)], 0.25],
    ['nearly full', [round(1), round(11)], (1 + Math.cos(Math.PI / 6)) / 2],
  ] as const)('water %s', (_, [one, two], fill) => {
    expect(fillTo([one, two])).toBeCloseTo(fill, 6);
    expect(fillTo([two, one])).toBeCloseTo(fill, 6);
  });
  it('water in a picture that is turned an hour is as deep as in one that is not', () => {
    expect(fillTo([round(5), round(9)])).toBeCloseTo(0.25, 6);
  });
  it('half of the pipe by its outline along the wall, and a small square in its middle', () => {
    // Hand-worked: half a circle, and 0.2 × 0.2 ÷ π.
    expect(shareWithin([9, 7, 5, 3].map((hours) => round(hours)))).toBeCloseTo(0.5, 6);
    const square = [
      { x: -0.1, y: -0.1 },
      { x: 0.1, y: -0.1 },
      { x: 0.1, y: 0.1 },
      { x: -0.1, y: 0.1 },
    ];
    expect(shareWithin(square)).toBeCloseTo(0.04 / Math.PI, 9);
    expect(shareWithin([...square].reverse())).toBeCloseTo(0.04 / Math.PI, 9);
  });
  it('hours run clockwise from the top', () => {
    expect([12, 3, 6, 9].map((hours) => hoursAt(round(hours)))).toEqual([
      0,
      3,
      6,
      expect.closeTo(9, 9),
    ]);
  });
});

describe('a still', () => {
  it('tells the fill with its ±, better than by eye', () => {
    const got = measure('fill', [touchAt(4), touchAt(8)]);
    expect(got).toMatchObject({ what: 'fill', ratio: expect.closeTo(0.25, 3) as number });
    expect('sigma' in got && got.sigma).toBeGreaterThan(0.003);
    expect('sigma' in got && got.sigma).toBeLessThan(0.05);
  });
  it('tells inches where the diameter is known, and a share of it where not', () => {
    const on = [touchAt(3), touchAt(3, 0.8)];
    expect(measure('offset', on)).toMatchObject({ sizeIn: expect.closeTo(0.4, 3) as number });
    const unknown = measureStill({ photoId: 'P', what: 'lip', aspect: 1.6, pipe: PIPE, on }, null);
    expect(unknown).toMatchObject({ sizeIn: null, ratio: expect.closeTo(0.1, 3) as number });
  });
  it('tells a gap from two rings, by the lens', () => {
    // f = 1 ÷ tan 30° = 1.732; rings of .6 and .5 in a 4 in pipe: 1.732 × 2 × (1/.5 − 1/.6) = 1.155 in.
    const far = [1, 3.5, 6, 8, 10.5].map((hours) => touchAt(hours, 0.5 / 0.6));
    expect(measure('gap', far)).toHaveProperty('trouble');
    expect(measure('gap', far, { fieldDeg: 60 })).toMatchObject({
      sizeIn: expect.closeTo(1.155, 2) as number,
    });
  });
  it('tells an arc of the clock to the half hour, also where the head is turned', () => {
    expect(measure('clock', [touchAt(10.1), touchAt(2.05)])).toMatchObject({
      clockFrom: 10,
      clockTo: 2,
    });
    expect(measure('clock', [touchAt(10), touchAt(2)], { bottom: touchAt(7) })).toMatchObject({
      clockFrom: 9,
      clockTo: 1,
    });
  });
  it('says what is missing', () => {
    expect(measure('fill', [touchAt(4)])).toEqual({
      trouble: 'Touch the thing in one more place.',
    });
    const bare = {
      photoId: 'P',
      what: 'fill',
      aspect: 1.6,
      pipe: PIPE.slice(0, 2),
      on: [],
    } as const;
    expect(measureStill(bare, 4)).toHaveProperty('trouble');
    const inLine = [0.1, 0.2, 0.3].map((x): Touch => [x, x]);
    expect(measure('fill', [touchAt(4), touchAt(8)], { pipe: inLine })).toHaveProperty('trouble');
  });
  it('has a σ that is as wide as hands are: half of the values lie within .67 of it, nearly all within 3', () => {
    const random = () => {
      // Two draws of a normal law from a fixed seed (Box and Muller 1958).
      seed = (seed * 16_807) % 2_147_483_647;
      const one = seed / 2_147_483_647;
      seed = (seed * 16_807) % 2_147_483_647;
      return Math.sqrt(-2 * Math.log(one)) * Math.cos((2 * Math.PI * seed) / 2_147_483_647);
    };
    let seed = 77;
    const shake = ([x, y]: Touch): Touch => [x + (random() * 0.005) / 1.6, y + random() * 0.005];
    const off = Array.from({ length: 400 }, () => {
      const got = measure('fill', [shake(touchAt(4)), shake(touchAt(8))], {
        pipe: PIPE.map(shake),
        vanish: shake([0.5, 0.5]),
      });
      return 'ratio' in got ? Math.abs(got.ratio - 0.25) / got.sigma : Infinity;
    });
    const within = (sigmas: number) => off.filter((one) => one < sigmas).length / off.length;
    expect(within(0.67)).toBeGreaterThan(0.4);
    expect(within(0.67)).toBeLessThan(0.62);
    expect(within(3)).toBeGreaterThan(0.99);
  });
});

describe('what is drawn over a still', () => {
  const still = (what: StillMeasureKind, on: readonly Touch[]): StillMeasure => ({
    photoId: 'P',
    what,
    aspect: 1.6,
    pipe: PIPE,
    on,
  });
  it('is the edge of the pipe through its touches, and the thing as it was touched', () => {
    const [edge, thing] = marksOf(still('fill', [touchAt(4), touchAt(8)]));
    expect(edge).toMatchObject({ of: 'pipe', isClosed: true });
    // Each touch lies on the line: no farther from its nearest point than half a step along it.
    for (const [x, y] of PIPE) {
      const near = edge!.points.map((point) => Math.hypot((point[0] - x) * 1.6, point[1] - y));
      expect(Math.min(...near)).toBeLessThan((0.3 * Math.PI) / 72 + 1e-6);
    }
    expect(thing).toEqual({ of: 'thing', points: [touchAt(4), touchAt(8)], isClosed: false });
  });
  it('closes what has an area, and draws both edges of a gap', () => {
    const around = [touchAt(1, 0.9), touchAt(3, 0.9), touchAt(5, 0.9)];
    expect(marksOf(still('share', around))[1]!.isClosed).toBe(true);
    expect(marksOf(still('gap', around)).map(({ of }) => of)).toEqual(['pipe', 'thing']);
    expect(marksOf({ ...still('share', []), pipe: [] })).toEqual([]);
  });
  it('keeps the picture’s shape', () => {
    const mark = { of: 'thing', isClosed: false, points: [[0.5, 0.25] as const] } as const;
    expect(markPoints(mark, 1.6, 100)).toBe('80.00,25.00');
  });
});
