import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wettedAreaRatio } from './fill';
import { openingLeft, segmentHeightRatio } from './opening';

const left = (
  kind: Parameters<typeof openingLeft>[0],
  extentRatio: number | null,
  heightIn: number | null = null,
) => openingLeft(kind, 4, { extentRatio, heightIn });

describe('the opening left', () => {
  it.each<[string, ReturnType<typeof left>, number]>([
    ['scale all round: 36% of the area leaves D·√.64', left('scale', 0.36), 3.2],
    ['roots from one side: half the area is half the bore', left('roots', 0.5), 2],
    ['a tap across 30% of the diameter', left('intruding-tap', 0.3), 2.8],
    ['a lip of half an inch', left('lip', null, 0.5), 3.5],
    ['a bore stopped altogether', left('debris', 1), 0],
  ])('by %s', (_, opening, clearIn) => {
    expect(opening!.clearIn).toBeCloseTo(clearIn, 4);
  });
  it('carries (d/D)^(8/3) of the full bore, by Manning', () => {
    expect(left('lip', null, 2)!.capacityRatio).toBeCloseTo(0.5 ** (8 / 3), 9);
  });
  it('is not told of what takes no bore, nor without a size or a bore', () => {
    expect([left('crack', 0.5), left('roots', null), left('lip', 0.2)]).toEqual([null, null, null]);
    expect(openingLeft('roots', null, { extentRatio: 0.5, heightIn: null })).toBeNull();
  });
  it('finds the height of a segment of any share', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        expect(wettedAreaRatio(segmentHeightRatio(share))).toBeCloseTo(share, 5);
      }),
    );
  });
});
