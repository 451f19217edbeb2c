import { roundTo, SMALL_NUMBERS } from '../base/numbers';
import type { Token } from './lex';

const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const VALUE: ReadonlyMap<string, number> = new Map([
  ...SMALL_NUMBERS.map((word, value) => [word, value] as const),
  ...TENS.map((word, index) => [word, 20 + 10 * index] as const),
]);
const PARTS: ReadonlyMap<string, number> = new Map([
  ['half', 1 / 2],
  ['halves', 1 / 2],
  ['third', 1 / 3],
  ['thirds', 1 / 3],
  ['quarter', 1 / 4],
  ['quarters', 1 / 4],
  ['eighth', 1 / 8],
  ['eighths', 1 / 8],
  ['tenth', 1 / 10],
  ['tenths', 1 / 10],
]);
/** Denominators that people cut an inch or a pipe into. */
const DENOMINATORS = [2, 3, 4, 5, 6, 8, 10, 16];
const UNITS = ['inch', 'inches', 'foot', 'ft', 'in'];

const THOUSANDTH = 3;

/**
 * Joins what makes up one number: "forty two and a half" → 42.5, `1 1/2` → 1.5, "three quarters" → ¾,
 * "an inch" → 1 inch, "10:30" → an hour. "ten two" stays two numbers.
 */
export function joinNumerals(said: readonly Token[]): Token[] {
  const joined: Token[] = [];
  const tokens = said.map(asSpokenOf);
  for (let at = 0; at < tokens.length;) {
    if (isPronoun(tokens, at)) {
      joined.push(tokens[at]!);
      at += 1;
      continue;
    }
    // No counter of a log reads below nothing: such a number is left to the words.
    if (isWord(tokens[at], 'negative', 'minus') && numberAt(tokens, at + 1)) {
      const { next } = numberAt(tokens, at + 1)!;
      joined.push({ ...tokens[at]!, to: tokens[next - 1]!.to });
      at = next;
      continue;
    }
    const found = hourAt(tokens, at) ?? unitFirstAt(tokens, at, joined) ?? numberAt(tokens, at);
    joined.push(...(found?.tokens ?? [tokens[at]!]));
    at = found?.next ?? at + 1;
  }
  return joined;
}

/** Words before a "one" that stands for a thing: "a bigger one at 25". */
const BEFORE_ONE =
  /^(?:slight|small|smaller|big|bigger|bad|worse|another|this|that|next|minor|little|large|larger|heavy|heavier|good|same|last|first|other|no|second|light|lighter|deeper|wide|wider|short|shorter|long|longer|open|the|a|each|every|which)$/;
const AFTER_ONE =
  /^(?:inch|inches|in|foot|feet|ft|percent|hundred|point|half|third|quarter|eighth|and|o'clock|oclock|thirty)$/;

const AFTER_ZERO = /^(?:point|feet|foot|ft|inch|inches|in|percent|and|to|at|on|here|is|now|home)$/;

/** "one" as a thing, and no number. */
function isPronoun(tokens: readonly Token[], at: number): boolean {
  const next = tokens[at + 1];
  // "zero roots" counts none.
  if (isWord(tokens[at], 'zero') && next?.type === 'word' && !AFTER_ZERO.test(next.text))
    return true;
  if (!isWord(tokens[at], 'one', 'ones')) return false;
  const [before, after] = [tokens[at - 1], tokens[at + 1]];
  if (before?.type !== 'word' || !BEFORE_ONE.test(before.text)) return false;
  return (
    after === undefined || !(AFTER_ONE.test(after.text) || after.text === '"' || after.text === '%')
  );
}

/** "thirty five's clean": the number is what is spoken of. */
function asSpokenOf(token: Token): Token {
  const stem = token.type === 'word' && token.text.endsWith("'s") ? token.text.slice(0, -2) : '';
  return VALUE.has(stem) && stem !== 'one' ? { ...token, text: stem } : token;
}

type Found = { readonly tokens: readonly Token[]; readonly next: number };

const isMark = (token: Token | undefined, text: string) =>
  token?.type === 'mark' && token.text === text;
const isWord = (token: Token | undefined, ...words: string[]) =>
  token?.type === 'word' && words.includes(token.text);
const touch = (left: Token, right: Token) => left.to === right.from;

function number(
  tokens: readonly Token[],
  at: number,
  next: number,
  said: number,
  how: Pick<Token, 'isPart' | 'isHour'> = {},
): Found {
  const value = roundTo(said, THOUSANDTH);
  const place = { from: tokens[at]!.from, to: tokens[next - 1]!.to };
  return { tokens: [{ type: 'number', text: String(value), value, ...how, ...place }], next };
}

/** "10:30", "6:00". */
function hourAt(tokens: readonly Token[], at: number): Found | null {
  const [hour, colon, minutes] = tokens.slice(at, at + 3);
  if (hour?.type !== 'number' || !minutes || !isMark(colon, ':')) return null;
  if (!touch(hour, colon!) || !/^(?:00|30)$/.test(minutes.text)) return null;
  const value = hour.value! + (minutes.text === '30' ? 0.5 : 0);
  if (value < 1 || value > 12.5) return null;
  return number(tokens, at, at + 3, value > 12 ? 0.5 : value, { isHour: true });
}

/** "an inch", "an inch and a half": the unit stands before the half. */
function unitFirstAt(tokens: readonly Token[], at: number, before: readonly Token[]): Found | null {
  // In "half an inch" the article counts nothing.
  const said = isWord(before.at(-1), 'of') ? before.at(-2) : before.at(-1);
  if (said?.isPart) return null;
  // "Inch deep or so": one.
  const isBare = before.at(-1)?.type !== 'number' && isWord(tokens[at], 'inch');
  const more = isBare && isWord(tokens[at + 1], 'and') ? partAt(tokens, at + 2) : null;
  const isFirst = before.length === 0 && isWord(tokens[at + 1], 'deep', 'high', 'or', 'wide');
  if (isBare && (more !== null || isFirst)) {
    const next = more?.next ?? at + 1;
    const unit = { ...tokens[at]!, from: tokens[next - 1]!.to, to: tokens[next - 1]!.to };
    return { tokens: [...number(tokens, at, next, 1 + (more?.value ?? 0)).tokens, unit], next };
  }
  const unit = tokens[at + 1];
  if (!isWord(tokens[at], 'a', 'an', 'one') || !isWord(unit, ...UNITS)) return null;
  const half = isWord(tokens[at + 2], 'and') ? partAt(tokens, at + 3) : null;
  const one = number(tokens, at, at + 1, 1 + (half?.value ?? 0));
  const last = half ? { ...unit!, to: tokens[half.next - 1]!.to } : unit!;
  return { tokens: [...one.tokens, last], next: half?.next ?? at + 2 };
}

function numberAt(tokens: readonly Token[], at: number): Found | null {
  const part = partAt(tokens, at);
  if (part) return number(tokens, at, part.next, part.value, { isPart: true });
  // "point three" is three tenths.
  const tenths = isWord(tokens[at], 'point') ? decimalsAt(tokens, at + 1) : null;
  if (tenths) return number(tokens, at, tenths.next, Number(`0.${tenths.text}`));
  const whole = tokens[at]?.type === 'number' ? digitsAt(tokens, at) : wordsAt(tokens, at);
  if (!whole) return null;
  const hasAnd = isWord(tokens[whole.next], 'and');
  const tail = partAt(tokens, whole.next + (hasAnd ? 1 : 0));
  // Without an "and" only a written fraction belongs to the number before it: "34 1/2", "4½".
  const isWritten = tokens[whole.next]?.isPart || isMark(tokens[whole.next + 1], '/');
  if (tail && Number.isInteger(whole.value) && (hasAnd || isWritten))
    return number(tokens, at, tail.next, whole.value + tail.value);
  return number(tokens, at, whole.next, whole.value);
}

type Value = { readonly value: number; readonly next: number };

function digitsAt(tokens: readonly Token[], at: number): Value {
  const value = tokens[at]!.value!;
  const more = isWord(tokens[at + 1], 'and') ? tokens[at + 2] : undefined;
  // "100 and 4 feet": dictation writes a hundred and what goes beyond it apart.
  const isOne =
    value >= 100 &&
    value % 100 === 0 &&
    more?.type === 'number' &&
    !more.isPart &&
    more.value! < 100;
  const isFraction = isMark(tokens[at + 3], '/');
  return isOne && !isFraction
    ? { value: value + more.value!, next: at + 3 }
    : { value, next: at + 1 };
}

/** "1/2", "½", "half", "a third", "three quarters"; `null` when no part is said here. */
function partAt(tokens: readonly Token[], at: number): Value | null {
  const token = tokens[at];
  if (!token) return null;
  if (token.type === 'number') {
    if (token.isPart) return { value: token.value!, next: at + 1 };
    const under = tokens[at + 2];
    if (!isMark(tokens[at + 1], '/') || under?.type !== 'number') {
      const part = tokens[at + 1];
      const unit = part && PARTS.get(part.text);
      return unit !== undefined && token.value! < 1 / unit && token.value! >= 1
        ? { value: token.value! * unit, next: at + 2 }
        : null;
    }
    const isCut = DENOMINATORS.includes(under.value!) && token.value! < under.value!;
    return isCut ? { value: token.value! / under.value!, next: at + 3 } : null;
  }
  if (token.type !== 'word') return null;
  const alone = PARTS.get(token.text);
  if (alone !== undefined) return { value: alone, next: at + 1 };
  const part = tokens[at + 1]?.type === 'word' ? PARTS.get(tokens[at + 1]!.text) : undefined;
  if (part === undefined) return null;
  const many = token.text === 'a' ? 1 : VALUE.get(token.text);
  return many !== undefined && many * part < 1 ? { value: many * part, next: at + 2 } : null;
}

/** "twenty seven point five", "one hundred and four"; "ten two" stops after the ten. */
function wordsAt(tokens: readonly Token[], at: number): Value | null {
  let whole: number | null = null;
  let next = at;
  for (let cursor = at; cursor < tokens.length; cursor += 1) {
    const token = tokens[cursor]!;
    const value = token.type === 'word' ? VALUE.get(token.text) : undefined;
    if (value !== undefined) {
      const sum: number | null = whole === null ? value : addTo(whole, value);
      if (sum === null) break;
      whole = sum;
    } else if (isWord(token, 'hundred') && (whole === null || whole < 10)) {
      if (whole === null && !isWord(tokens[cursor - 1], 'a')) break;
      whole = (whole ?? 1) * 100;
    } else if (isWord(token, 'point') && whole !== null) {
      const decimals = decimalsAt(tokens, cursor + 1);
      return decimals
        ? { value: Number(`${whole}.${decimals.text}`), next: decimals.next }
        : { value: whole, next };
    } else if (whole !== null && (isMark(token, '-') || isWord(token, 'and'))) {
      // Belongs to the number only when a number goes on behind it.
      const after = tokens[cursor + 1];
      const more = after?.type === 'word' ? VALUE.get(after.text) : undefined;
      if (more === undefined || addTo(whole, more) === null) break;
      if (isWord(token, 'and') && whole % 100 !== 0) break;
      continue;
    } else {
      break;
    }
    next = cursor + 1;
  }
  return whole === null ? null : { value: whole, next };
}

function addTo(whole: number, value: number): number | null {
  if (value < 10 && whole % 10 === 0 && whole % 100 >= 20) return whole + value;
  return whole >= 100 && whole % 100 === 0 && value > 0 ? whole + value : null;
}

function decimalsAt(tokens: readonly Token[], at: number): { text: string; next: number } | null {
  let text = '';
  let next = at;
  for (; next < tokens.length; next += 1) {
    const token = tokens[next]!;
    const digit = token.type === 'word' ? VALUE.get(token.text) : undefined;
    if (digit === undefined || digit > 9) break;
    text += String(digit);
  }
  return text === '' ? null : { text, next };
}
