import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import { QUOTE_INCLUDES } from '../../model/job/plans';
import type { QuoteDecision, QuoteLine } from '../../model/job/plans';
import { assessmentOf, CLAY, type Said } from '../../testing/build';
import { demoInspection } from '../../testing/demo-inspections';
import { defect, lineIn } from '../../testing/rules';
import { repairOf } from '../repair';
import { checkQuote } from './check-quote';

const line = (
  method: QuoteLine['method'],
  fromFt: number | null,
  toFt: number | null,
  more: Partial<QuoteLine> = {},
): QuoteLine => ({ method, fromFt, toFt, lengthFt: null, price: null, ...more });
const quote = (lines: readonly QuoteLine[], more: Partial<QuoteDecision> = {}): QuoteDecision => ({
  id: 'Q',
  kind: 'contractor-quote',
  reason: '',
  from: 'a contractor',
  total: null,
  lines,
  includes: QUOTE_INCLUDES,
  ...more,
});

const { site, plans } = repairOf(assess(demoInspection('alder-bend')));
const fixing = plans[1]!;
const workOf = (method: QuoteLine['method']) => fixing.works.find((one) => one.method === method);
const [dig, descale, cut] = [workOf('dig'), workOf('descale'), workOf('cut')];
const good = [
  line('dig', dig!.fromFt, dig!.toFt),
  line('descale', descale!.fromFt, descale!.toFt),
  line('cut', cut!.fromFt, cut!.toFt),
];
const of = (given: QuoteDecision) => checkQuote(site, fixing, given);
const asks = (given: QuoteDecision) => of(given).remarks.filter(({ level }) => level !== 'fine');
const abouts = (given: QuoteDecision) => asks(given).map(({ about }) => about);

describe('a quote for what the plan asks', () => {
  it('has nothing to ask about', () => {
    const checked = of(quote(good, { total: 8500 }));
    expect(asks(quote(good, { total: 8500 }))).toEqual([]);
    expect(checked.remarks.map(({ text }) => text)).toContain(
      'Dig and replace at 40.7 to 58.8 ft: does what was asked.',
    );
    expect(checked.misses).toEqual([]);
    expect(checked.reckoned!.likely).toBeGreaterThan(dig!.cost.likely);
  });

  it.each<[string, QuoteDecision, string[]]>([
    [
      'priced for other feet than its ends',
      quote([{ ...good[0]!, lengthFt: 10 }, ...good.slice(1)]),
      ['length'],
    ],
    [
      'stops short of a finding',
      quote([line('dig', dig!.fromFt, dig!.toFt - 6), ...good.slice(1)]),
      ['length', 'missing'],
    ],
    [
      'digs more than is needed',
      quote([line('dig', dig!.fromFt - 5, dig!.toFt), ...good.slice(1)]),
      ['length'],
    ],
    [
      'a liner over the sag',
      quote([line('liner', dig!.fromFt, dig!.toFt), ...good.slice(1)]),
      ['method', 'missing'],
    ],
    ['says nowhere where', quote([line('burst', null, null), ...good]), ['unplaced']],
    [
      'names no permits',
      quote(good, {
        includes: QUOTE_INCLUDES.filter((one) => !['permit', 'right-of-way'].includes(one)),
      }),
      ['permit', 'right-of-way'],
    ],
    [
      'names nothing',
      quote(good, { includes: [] }),
      ['permit', 'right-of-way', 'restoration', 'marks', 'shoring', 'proof'],
    ],
    ['too cheap', quote(good, { total: 1500 }), ['price']],
    ['too dear for one work', quote([{ ...good[0]!, price: 40_000 }, ...good.slice(1)]), ['price']],
  ])('%s', (_, given, expected) => {
    expect([...new Set(abouts(given))]).toEqual(expected);
  });

  it('may ask a range: it is asked about where all of it lies outside the planning figures', () => {
    const asking = (price: number, priceTo: number) =>
      abouts(quote([{ ...good[0]!, price, priceTo }, ...good.slice(1)]));
    expect(asking(5000, 9000)).toEqual([]);
    expect(asking(12_000, 30_000)).toEqual([]);
    expect(asking(30_000, 40_000)).toEqual(['price']);
    expect(of(quote([{ ...good[0]!, price: 5000, priceTo: 9000 }])).asked).toBe(7000);
  });

  it('names a work of the plan that it does not speak of', () => {
    expect(asks(quote(good.slice(0, 2))).map(({ text }) => text)).toEqual([
      'Not in the quote: cut the roots.',
    ]);
  });

  it('is placed at the plan’s work where it does not say where', () => {
    expect(abouts(quote([line('dig', null, null, { lengthFt: 18 }), ...good.slice(1)]))).toEqual(
      [],
    );
  });

  it('gives the works of its lines, and says what it misses by number', () => {
    const { remarks, misses } = of(quote([...good.slice(1)]));
    expect(misses).toHaveLength(2);
    expect(remarks.find(({ about }) => about === 'missing')!.text).toMatch(
      /does not deal with findings \d, \d/,
    );
  });
});

it('asks for the tees that a liner closes', () => {
  const tee: Said = { kind: 'feature', feature: 'tee', readingFt: 31 };
  const all = repairOf(assessmentOf([tee, defect('crack', { form: 'multiple', readingFt: 30 })]));
  const lined = quote([line('liner', 25, 35)], { includes: ['cleaning', 'proof'] });
  const { remarks } = checkQuote(all.site, all.plans[1]!, lined);
  expect(remarks.find(({ about }) => about === 'tees')!.text).toMatch(/No reopening of the tee/);
});

it('wants abatement before asbestos cement is dug out', () => {
  const all = repairOf(
    assess(lineIn('asbestos-cement', 6, [{ ...CLAY, kind: 'zone', zone: 'yard' }, defect('hole')])),
  );
  const bare = quote([line('dig', 28, 32)], {
    includes: QUOTE_INCLUDES.filter((one) => one !== 'abatement'),
  });
  expect(checkQuote(all.site, all.plans[1]!, bare).remarks.map(({ about }) => about)).toContain(
    'abatement',
  );
  expect(
    checkQuote(all.site, all.plans[1]!, quote([line('dig', 28, 32)])).remarks.map(
      ({ about }) => about,
    ),
  ).not.toContain('abatement');
});
