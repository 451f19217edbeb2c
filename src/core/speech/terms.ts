import type { Token } from './lex';
import { findPhrase, isArticle, type Senses } from './lexicon/trie';

export type Unit = 'ft' | 'in' | '%' | 'deg' | 'hour' | 'part';

/** A number with its unit, or two that make a range. */
export type Amount = {
  /** Feet for `ft`, inches for `in`, 0 to 1 for `%` and `part`, else as said. */
  readonly value: number;
  readonly to: number | null;
  /** `null` for a bare number: what it is follows from where it stands. */
  readonly unit: Unit | null;
  /** Said in feet and inches, so it is a size or a depth as well as it is a footage. */
  readonly hasInches: boolean;
  /** The word before it: "from 43", "to 52", "at 31", "for 8 ft". */
  readonly link: 'from' | 'to' | 'at' | 'for' | null;
};

/** A piece of a call-out with a meaning, or a word that has none. */
export type Term = {
  readonly kind: 'phrase' | 'amount' | 'quote' | 'handle' | 'pair' | 'mark' | 'word';
  readonly text: string;
  /** The field of a `field=value` pair. */
  readonly field?: string;
  readonly senses: Senses;
  readonly amount: Amount | null;
  readonly from: number;
  readonly to: number;
};

const NONE: Senses = {};
const FEET = ['ft', 'feet', 'foot', 'footer', "'"];
const INCHES = ['inch', 'inches', '"', 'in'];
const PERCENT = ['%', 'percent', 'pct'];
const DEGREES = ['deg', 'degree', 'degrees', '°'];
const HOURS = ["o'clock", 'oclock', 'clock'];
const RANGE = ['to', '-', 'through', 'thru', 'until', 'till'];
const LINKS: Readonly<Record<string, 'from' | 'to' | 'at' | 'for'>> = {
  from: 'from',
  between: 'from',
  starting: 'from',
  to: 'to',
  until: 'to',
  till: 'to',
  thru: 'to',
  at: 'at',
  '@': 'at',
  for: 'for',
};
/** Words between a link and its number: "at about 31", "at the 31". */
const APPROXIMATELY = [
  'about',
  'around',
  'roughly',
  'maybe',
  'say',
  'approximately',
  'approx',
  'mark',
];

type Size = {
  readonly value: number;
  readonly unit: Unit | null;
  readonly hasInches: boolean;
  readonly next: number;
};

const says = (token: Token | undefined, words: readonly string[]): boolean =>
  token !== undefined &&
  (token.type === 'word' || token.type === 'mark') &&
  words.includes(token.text);

/** "in" after a number is inches, unless it begins a phrase such as "in the barrel". */
function isInch(tokens: readonly Token[], at: number): boolean {
  if (!says(tokens[at], INCHES)) return false;
  if (tokens[at]!.text !== 'in') return true;
  const phrase = findPhrase(tokens, at);
  const after = tokens[at + 1];
  return (phrase === null || phrase.next === at + 1) && (after === undefined || !isArticle(after));
}

/** Past "of an", "a": "half an inch", "a quarter of an inch". */
function pastOf(tokens: readonly Token[], at: number): number {
  let next = at;
  while (says(tokens[next], ['of', 'a', 'an', 'the'])) next += 1;
  return next;
}

function sizeAt(tokens: readonly Token[], at: number): Size | null {
  const token = tokens[at];
  if (token?.type !== 'number') return null;
  const value = token.value!;
  const after = at + 1;
  const size = (unit: Unit | null, next: number, said = value, hasInches = false): Size => ({
    value: said,
    unit,
    hasInches,
    next,
  });
  if (token.isHour) return size('hour', says(tokens[after], HOURS) ? after + 1 : after);
  if (says(tokens[after], FEET)) {
    const and = says(tokens[after + 1], ['and']) ? 1 : 0;
    const inches = tokens[after + 1 + and];
    const unitAt = after + 2 + and;
    const isInches =
      inches?.type === 'number' &&
      inches.value! < 12 &&
      !isSizeOf(tokens, unitAt, value) &&
      (isInch(tokens, unitAt) ||
        (and === 0 && (isTight(tokens, after, unitAt) || isSpoken(tokens, after, value))));
    if (isInches) {
      const next = isInch(tokens, unitAt) ? unitAt + 1 : unitAt;
      return size('ft', next, value + inches.value! / 12, true);
    }
    return size('ft', after + 1);
  }
  const unitAt = token.isPart ? pastOf(tokens, after) : after;
  if (isInch(tokens, unitAt)) return size('in', unitAt + 1);
  if (token.isPart && says(tokens[unitAt], ['foot'])) return size('ft', unitAt + 1, value, true);
  if (says(tokens[after], PERCENT)) return size('%', after + 1, value / 100);
  if (says(tokens[after], ['per']) && says(tokens[after + 1], ['cent']))
    return size('%', after + 2, value / 100);
  if (says(tokens[after], DEGREES)) return size('deg', after + 1);
  if (says(tokens[after], HOURS)) return size('hour', after + 1);
  return size(token.isPart ? 'part' : null, after);
}

/** "52 ft 3 in deep" is a footage and a depth: nothing on the counter is that deep. */
function isSizeOf(tokens: readonly Token[], inchAt: number, feet: number): boolean {
  return feet > DEEPEST_FT && says(tokens[inchAt + 1], ['deep', 'high', 'wide', 'open', 'long']);
}

/** Laterals lie no deeper than this, feet. */
const DEEPEST_FT = 25;

/** "5 foot 2": a depth or a distance with its inches unsaid, where nothing else claims the number. */
function isSpoken(tokens: readonly Token[], feetAt: number, feet: number): boolean {
  const next = tokens[feetAt + 2];
  const isEnd = next === undefined || says(next, [',', ';', 'from', 'off', 'deep', 'down', 'to']);
  return feet <= DEEPEST_FT && says(tokens[feetAt], ['foot', 'ft', 'feet']) && isEnd;
}

/** `6'2`: the inches follow the feet mark at once, and nothing else claims them. */
function isTight(tokens: readonly Token[], feetAt: number, afterInches: number): boolean {
  const [feet, inches] = [tokens[feetAt]!, tokens[feetAt + 1]!];
  const next = tokens[afterInches];
  const isClaimed =
    says(next, [...FEET, ...PERCENT, ...DEGREES, ...HOURS]) ||
    (says(next, RANGE) && tokens[afterInches + 1]?.type === 'number');
  return feet.text === "'" && feet.to === inches.from && !isClaimed;
}

/** A size, or a range of two: "43 to 52", "10 - 2 o'clock", `4'1" to 4'4"`. */
function amountAt(
  tokens: readonly Token[],
  at: number,
  before: readonly Token[],
): { amount: Amount; next: number } | null {
  const first = sizeAt(tokens, at);
  if (!first) return null;
  const link = linkBefore(before);
  const joins = [...RANGE, 'by', 'x', ...(link === 'from' ? ['and', 'ends'] : [])];
  let toAt = says(tokens[first.next], joins) ? first.next + 1 : -1;
  while (toAt > 0 && says(tokens[toAt], APPROXIMATELY)) toAt += 1;
  const second = toAt > 0 ? sizeAt(tokens, toAt) : null;
  const { value, unit, hasInches } = first;
  if (!second) return { amount: { value, to: null, unit, hasInches, link }, next: first.next };
  const shared = second.unit ?? unit;
  // "12 to 19 20%" keeps its percent apart because that one has its own number.
  const scale = (size: Size) =>
    size.unit === null && shared === '%' ? size.value / 100 : size.value;
  return {
    amount: {
      value: scale(first),
      to: scale(second),
      unit: shared,
      hasInches: hasInches || second.hasInches,
      link: link === 'to' ? null : link,
    },
    next: second.next,
  };
}

function linkBefore(before: readonly Token[]): Amount['link'] {
  let at = before.length - 1;
  while (at >= 0 && (says(before[at], APPROXIMATELY) || isArticle(before[at]!))) at -= 1;
  const token = before[at];
  if (!token || token.type === 'number') return null;
  if (says(token, ['at']) && says(before[at - 1], ['starts', 'begins', 'opens', 'starting']))
    return 'from';
  if (says(token, ['at']) && says(before[at - 1], ['ends', 'stops', 'ending'])) return 'to';
  return LINKS[token.text] ?? null;
}

/** Turns tokens into terms: phrases of the lexicon, amounts, quoted words, and words left over. */
export function termsOf(tokens: readonly Token[]): Term[] {
  const terms: Term[] = [];
  for (let at = 0; at < tokens.length;) {
    const token = tokens[at]!;
    const place = (next: number) => ({ from: token.from, to: tokens[next - 1]!.to });
    const phrase = findPhrase(tokens, at);
    const amount = phrase ? null : amountAt(tokens, at, tokens.slice(0, at));
    const next = phrase?.next ?? amount?.next ?? at + 1;
    const isApproximate =
      says(token, APPROXIMATELY) && tokens[at + 1]?.type === 'number' && next === at + 1;
    const kind = phrase
      ? 'phrase'
      : amount
        ? 'amount'
        : token.type === 'number'
          ? 'word'
          : token.type;
    terms.push({
      kind,
      text: token.text,
      ...(token.field === undefined ? {} : { field: token.field }),
      senses: isApproximate
        ? { idle: 'idle' }
        : token.type === 'word' && token.text === 'zero'
          ? { not: 'zero' }
          : (phrase?.senses ?? (isArticle(token) ? { idle: 'idle' } : NONE)),
      amount: amount?.amount ?? null,
      ...place(next),
    });
    at = next;
  }
  return terms;
}
