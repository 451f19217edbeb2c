import { describe, expect, it } from 'vitest';
import type { PriceBook } from '../model/prices/price-book';
import { PRICE_KEYS } from '../model/prices/price-table';
import { readPriceBooks, writePriceBooksCsv, writePriceBooksJson } from './price-books';

const book = (id: string, name: string, prices: PriceBook['prices']): PriceBook => ({
  id,
  name,
  source: 'three quotes',
  editedOn: '2026-11-20',
  prices,
});
const hill = book('B1', 'Hill side', { 'dig.foot': { low: 120, likely: 170, high: 260 } });
const shore = book('B2', '=Shore, "old"', { 'jet.visit': { low: 200, likely: 300, high: 420 } });
let next = 0;
const newId = () => `B${(next += 1)}`;
const faults = (text: string) => {
  const read = readPriceBooks(text, newId);
  return read.ok
    ? []
    : read.faults.map(({ path, expected, got }) => `${path}: ${expected} | ${got}`);
};

describe('price books', () => {
  it('come back from JSON as they were', () => {
    expect(readPriceBooks(writePriceBooksJson([hill, shore]), newId)).toEqual({
      ok: true,
      value: [hill, shore],
    });
  });

  it('come back from CSV as they were: a row for every price, only what differs is kept', () => {
    const csv = writePriceBooksCsv([hill, shore]);
    expect(csv.trim().split('\r\n')).toHaveLength(1 + 2 * PRICE_KEYS.length);
    next = 0;
    expect(readPriceBooks(csv, newId)).toEqual({ ok: true, value: [hill, shore] });
    expect(csv).toContain(`"'=Shore, ""old"""`);
  });

  it.each<[string, string, RegExp]>([
    ['no column of that name', 'book,price\nx,dig.foot', /line 1: the columns source, edited, low/],
    [
      'a price that is not there',
      'book,source,edited,price,low,likely,high\nA,s,2026-11-01,dig.mile,1,2,3',
      /line 2, price: the name of a price/,
    ],
    [
      'words for a number',
      'book,source,edited,price,low,likely,high\nA,s,2026-11-01,dig.foot,cheap,130,190',
      /line 2, low: an amount in dollars \| "cheap"/,
    ],
    [
      'out of order',
      'book,source,edited,price,low,likely,high\nA,s,2026-11-01,dig.foot,200,130,190',
      /line 2: a price that can be right \| .*not in that order/,
    ],
    [
      'too wide',
      'book,source,edited,price,low,likely,high\nA,s,2026-11-01,dig.foot,10,130,190',
      /more than 10 times low/,
    ],
    [
      'a slip of the hand',
      'book,source,edited,price,low,likely,high\nA,s,2026-11-01,dig.foot,9000,13000,19000',
      /over 20 times away from the usual \$130/,
    ],
    [
      'no day',
      'book,source,edited,price,low,likely,high\nA,s,soon,dig.foot,90,131,190',
      /A\.editedOn: a day of the calendar/,
    ],
    ['another JSON', '{"format":"x"}', /format: "chert-price-books"/],
    ['a version to come', '{"format":"chert-price-books","version":2}', /version: 1/],
    ['broken JSON', '{"format":', /price books in JSON/],
    [
      'an implausible price in JSON',
      JSON.stringify({
        format: 'chert-price-books',
        version: 1,
        books: [{ ...hill, prices: { 'dig.foot': { low: 5, likely: 1, high: 9 } } }],
      }),
      /books\[0\]\.prices\.dig\.foot: a price that can be right \(this has low, likely and high are not in that order\)/,
    ],
  ])('refuse %s, and say where and why', (_, text, says) => {
    expect(faults(text).join('\n')).toMatch(says);
  });
});
