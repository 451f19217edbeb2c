import { expect, it } from 'vitest';
import type { PriceLine } from '#core/planning/work';
import { readFeet, sayBracket, sayFindings, sayQuantity, sayStations } from './say';

it.each([
  [{ fromFt: 40.7, toFt: 58.8 }, '40.7–58.8'],
  [{ fromFt: 30, toFt: 30.04 }, '30'],
  [{ fromFt: -2, toFt: 3 }, '−2–3'],
])('stations of %o', (stretch, says) => {
  expect(sayStations(stretch)).toBe(says);
});

it('names a work for its bracket, with its length where feet are what is bought', () => {
  expect(sayBracket({ method: 'dig', fromFt: 40.7, toFt: 58.8 })).toBe('dig and replace, 18.1 ft');
  expect(sayBracket({ method: 'cut', fromFt: 28.8, toFt: 30.8 })).toBe('cut roots');
});

it('lists findings by number', () => {
  expect([[4], [5, 4], [9, 1, 3]].map(sayFindings)).toEqual([
    'finding 4',
    'findings 4 and 5',
    'findings 1, 3 and 9',
  ]);
});

it('says quantity times rate, times depth where that makes it dearer', () => {
  const line: PriceLine = {
    key: 'dig.foot',
    says: '',
    quantity: 18.1,
    unit: 'foot',
    rate: { low: 90, likely: 130, high: 190 },
    factor: 1.25,
    cost: { low: 0, likely: 0, high: 0 },
  };
  expect(sayQuantity(line)).toBe('18.1 ft × $90–190 × 1.25 for depth');
  expect(sayQuantity({ ...line, unit: 'each', quantity: 2, factor: 1 })).toBe('2 × $90–190');
});

it.each([
  ['41,5', 41.5],
  ['−3', -3],
  [' 7 ', 7],
  ['7 ft', null],
  ['', null],
  ['1e3', null],
])('reads %s as %s', (text, feet) => {
  expect(readFeet(text)).toBe(feet);
});
