import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lexCallout } from './lex';
import { ADVISED_SAYINGS, DOES_SAYINGS, OPERATOR_SAYINGS } from './lexicon/operators';
import { spellOut } from './lexicon/phrases';
import { GRAMMAR_SAYINGS } from './lexicon/qualities';
import { ACT_SAYINGS } from './lexicon/running';
import { joinNumerals } from './numerals';
import { withOwnWords } from './own-words';
import { openSheet, readTerms } from './sheet';

const numbersOf = (text: string) =>
  joinNumerals(lexCallout(text)).flatMap(({ type, value }) => (type === 'number' ? [value] : []));
const amountsOf = (text: string) =>
  readTerms(text).flatMap(({ amount }) => (amount ? [amount] : []));

describe('numbers as people say them', () => {
  it.each<[string, number[]]>([
    ['forty two and a half', [42.5]],
    ['twenty-seven point five', [27.5]],
    ['one hundred and four', [104]],
    ['a hundred twelve', [112]],
    ['ten two', [10, 2]],
    ['thirty one three', [31, 3]],
    ['1 1/2', [1.5]],
    ['4½', [4.5]],
    ['three quarters', [0.75]],
    ['two thirds', [0.667]],
    ['a quarter', [0.25]],
    ['an inch and a half', [1.5]],
    ['half an inch', [0.5]],
    ['10:30', [10.5]],
    ['12:30', [0.5]],
    ['43 half full', [43, 0.5]],
    ['16/9', [16, 9]],
  ])('%s', (text, expected) => {
    expect(numbersOf(text)).toEqual(expected);
  });

  it('reads digits as they stand, whatever is round them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9999 }), (tenths) => {
        expect(numbersOf(`seen ${tenths / 10} here`)).toEqual([tenths / 10]);
      }),
    );
  });
});

describe('amounts', () => {
  it.each<[string, object]>([
    [`37'6"`, { value: 37.5, unit: 'ft', hasInches: true }],
    ['4 ft 1 in', { value: 4 + 1 / 12, unit: 'ft', hasInches: true }],
    ['52 ft 3 in deep', { value: 52, unit: 'ft', hasInches: false }],
    ['3.3 in', { value: 3.3, unit: 'in' }],
    ['a quarter of an inch', { value: 0.25, unit: 'in' }],
    ['60%', { value: 0.6, unit: '%' }],
    ['sixty per cent', { value: 0.6, unit: '%' }],
    ['45 degrees', { value: 45, unit: 'deg' }],
    ["10 to 2 o'clock", { value: 10, to: 2, unit: 'hour' }],
    ['43 - 52', { value: 43, to: 52, unit: null }],
    ['between 61 and 68', { value: 61, to: 68, link: 'from' }],
    ['from about 43', { value: 43, link: 'from' }],
    ['ends at 52', { value: 52, link: 'to' }],
    ['3 in the barrel', { value: 3, unit: null }],
    ['half', { value: 0.5, unit: 'part' }],
  ])('%s', (text, expected) => {
    expect(amountsOf(text)[0]).toMatchObject(expected);
  });
});

describe('a sheet', () => {
  it('finds the longest phrase, and lets articles stand anywhere in it', () => {
    const phrases = readTerms('tap at the main').filter(({ kind }) => kind === 'phrase');
    expect(phrases.map(({ senses }) => senses)).toEqual([
      expect.objectContaining({ feature: 'main-tap' }),
    ]);
    expect(readTerms("can't tell")[0]!.senses).toMatchObject({ certainty: 'cannot-tell' });
  });

  it('gives back what nobody claimed as it was written, without the idle words at its ends', () => {
    const sheet = openSheet('the Roots here, by Wobbly Bob at 31');
    expect(sheet.take('defect')).toBe('roots');
    expect(sheet.takeAmount(() => true)?.value).toBe(31);
    expect(sheet.rest()).toBe('Wobbly Bob');
    expect(sheet.take('defect')).toBeNull();
  });
});

describe('spelling out a saying', () => {
  it.each<[string, string[]]>([
    ['clay|terra cotta', ['clay', 'terra cotta']],
    ['{open|wide} joint', ['open joint', 'wide joint']],
    ['joint [is] open', ['joint is open', 'joint open']],
    ['a [b|c] {d|e}', ['a b d', 'a b e', 'a c d', 'a c e', 'a d', 'a e']],
  ])('%s', (saying, expected) => {
    expect(spellOut(saying)).toEqual(expected);
  });
});

describe('own words', () => {
  it('take the longer word first and are not looked up again', () => {
    const words = [
      { says: 'black', means: 'abs' },
      { says: 'black jack', means: 'black fiber' },
      { says: ' ', means: 'x' },
    ];
    expect(withOwnWords('black jack, Black', words)).toBe('black fiber, abs');
    expect(withOwnWords('blackish note "black"', words)).toBe('blackish note "black"');
  });
});

describe('sayings', () => {
  it.each(
    [OPERATOR_SAYINGS, DOES_SAYINGS, ADVISED_SAYINGS, GRAMMAR_SAYINGS, ACT_SAYINGS].flatMap(
      (table) => Object.entries<string>(table as Record<string, string>),
    ),
  )('%s spells out into what a page can hold', (_, saying) => {
    expect(spellOut(saying).length).toBeLessThan(2500);
  });

  it('are spelled from the outside in: one option is not multiplied by what stands in another', () => {
    expect(spellOut('{a [b]|{c|d} e|f}')).toEqual(['a b', 'a', 'c e', 'd e', 'f']);
  });
});
