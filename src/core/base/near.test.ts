import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapBetweenFt, interval } from './interval';
import { layOut } from './near';

const anyStretch = (longFt: number) =>
  fc
    .tuple(fc.integer({ min: -80, max: 420 }), fc.integer({ min: 0, max: longFt * 4 }))
    .map(([from, long]) => interval(from / 4, (from + long) / 4));

describe('what lies near a stretch', () => {
  it('is what a look at all of them finds, in the order of where they begin', () => {
    const all = fc.array(anyStretch(15), { maxLength: 40 });
    const within = fc.integer({ min: 0, max: 12 });
    fc.assert(
      fc.property(all, anyStretch(20), within, (stretches, at, halfFeet) => {
        const slow = stretches
          .toSorted((a, b) => a.fromFt - b.fromFt)
          .filter((one) => gapBetweenFt(one, at) <= halfFeet / 2 + 1e-9);
        expect(layOut(stretches, (one) => one)(at, halfFeet / 2)).toEqual(slow);
      }),
    );
  });

  it('is everything that touches, where no distance is given', () => {
    const near = layOut([interval(0, 4), interval(4, 6), interval(6.1, 9)], (one) => one);
    expect(near(interval(4, 4))).toEqual([interval(0, 4), interval(4, 6)]);
    expect(near(interval(20, 21))).toEqual([]);
  });
});
