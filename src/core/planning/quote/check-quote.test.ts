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
const [dig, descale] = [workOf('dig'), workOf('descale')];
const good = [line('dig', dig!.fromFt, dig!.toFt), line('descale', descale!.fromFt, descale!.toFt)];
const of = (given: QuoteDecision) => checkQuote(site, fixing, given);
const abouts = (given: QuoteDecision) => of(given).remarks.map(({ about }) => about);

describe('a quote for what the plan asks', () => {
  it('has nothing to ask about', () => {
    const checked = of(quote(good, { total: 8500 }));
    expect(checked.remarks).toEqual([]);
    expect(checked.misses).toEqual([]);
    expect(checked.reckoned!.likely).toBeGreaterThan(dig!.cost.likely);
  });

  it.each<[string, QuoteDecision, string[]]>([
    [
      'priced for other feet than its ends',
      quote([{ ...good[0]!, lengthFt: 10 }, good[1]!]),
      ['length'],
    ],
    [
      'stops short of a finding',
      quote([line('dig', dig!.fromFt, dig!.toFt - 6), good[1]!]),
      ['length', 'missing'],
    ],
    [
      'digs more than is needed',
      quote([line('dig', dig!.fromFt - 5, dig!.toFt), good[1]!]),
      ['length'],
    ],
    [
      'a liner over the sag',
      quote([line('liner', dig!.fromFt, dig!.toFt), good[1]!]),
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
    ['too dear for one work', quote([{ ...good[0]!, price: 40_000 }, good[1]!]), ['price']],
  ])('%s', (_, given, expected) => {
    expect([...new Set(abouts(given))]).toEqual(expected);
  });

  it('is placed at the plan’s work where it does not say where', () => {
    expect(abouts(quote([line('dig', null, null, { lengthFt: 18 }), good[1]!]))).toEqual([]);
  });

  it('gives the works of its lines, and says what it misses by number', () => {
    const { remarks, misses } = of(quote([good[1]!]));
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
