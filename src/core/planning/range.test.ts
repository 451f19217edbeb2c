import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../base/random';
import { drawFrom, meanOf, type Range, totalRange } from '../base/range';
import { sayMoney, sayRange, sayRate } from './money';

const range = (low: number, likely: number, high: number): Range => ({ low, likely, high });
const anyRange = fc
  .tuple(
    fc.integer({ min: 1, max: 5000 }),
    fc.integer({ min: 0, max: 5000 }),
    fc.integer({ min: 0, max: 5000 }),
  )
  .map(([low, more, most]) => range(low, low + more, low + more + most));

describe('the range of a sum', () => {
  it('adds deviations as correlated ones do', () => {
    // Two deviations of 10: √(½·200 + ½·400) = √300.
    const sum = totalRange([range(90, 100, 130), range(190, 200, 230)]);
    expect(sum.likely).toBe(300);
    expect(sum.low).toBeCloseTo(300 - Math.sqrt(300), 9);
    expect(sum.high).toBeCloseTo(300 + 3 * Math.sqrt(300), 9);
    expect(totalRange([range(90, 100, 130), range(190, 200, 230)], 1).low).toBeCloseTo(280, 9);
    expect(totalRange([])).toEqual(range(0, 0, 0));
  });

  it('lies between independent and all alike, whatever is added', () => {
    fc.assert(
      fc.property(fc.array(anyRange, { minLength: 1, maxLength: 8 }), (parts) => {
        const [apart, sum, alike] = [0, 0.5, 1].map((correlation) =>
          totalRange(parts, correlation),
        );
        expect(sum!.high).toBeGreaterThanOrEqual(apart!.high - 1e-6);
        expect(sum!.high).toBeLessThanOrEqual(alike!.high + 1e-6);
        expect(sum!.low).toBeLessThanOrEqual(sum!.likely);
      }),
    );
  });
});

it('draws what its mean says, and one in ten below low and above high', () => {
  const random = seededRandom(7);
  const one = range(500, 800, 1600);
  const drawn = Array.from({ length: 40_000 }, () => drawFrom(one, random.normal()));
  const mean = drawn.reduce((sum, value) => sum + value, 0) / drawn.length;
  expect(mean).toBeCloseTo(meanOf(one), -1);
  const share = (test: (value: number) => boolean) => drawn.filter(test).length / drawn.length;
  expect(share((value) => value < 500)).toBeCloseTo(0.1, 2);
  expect(share((value) => value > 1600)).toBeCloseTo(0.1, 2);
});

describe('money in words', () => {
  it.each([
    [0, '$0'],
    [7.4, '$7'],
    [449, '$450'],
    [994, '$990'],
    [996, '$1k'],
    [5249, '$5.2k'],
    [9960, '$10k'],
    [12_600, '$13k'],
    [104_000, '$100k'],
  ])('%s: %s', (value, says) => {
    expect(sayMoney(value)).toBe(says);
  });
  it.each([
    [450, 702, '$450–700'],
    [5200, 9100, '$5.2k–9.1k'],
    [900, 1400, '$900–1.4k'],
    [996, 1004, '$1k'],
  ])('%s to %s: %s', (low, high, says) => {
    expect(sayRange({ low, high })).toBe(says);
  });
  it('says rates as the book has them', () => {
    expect(sayRate({ low: 90, high: 190 })).toBe('$90–190');
    expect(sayRate({ low: 1.5, high: 4 })).toBe('$1.50–4');
  });
});
