/** Rounds to `digits` decimals, half away from zero, without the noise of binary fractions. */
export function roundTo(value: number, digits: number): number {
  const scale = 10 ** digits;
  const rounded = Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9);
  return rounded === 0 ? 0 : rounded / scale;
}

/** Holds `value` between `low` and `high`. */
export function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value));
}

/** A length in feet as people read it: at most one decimal and no trailing zero ("8", "43.5"). */
export function sayFt(valueFt: number): string {
  return String(roundTo(valueFt, 1));
}

/** A size in inches as people read it: at most two decimals ("3.3", "0.25"). */
export function sayIn(valueIn: number): string {
  return String(roundTo(valueIn, 2));
}

/** A share of one as a whole percentage ("40%"); below one percent it keeps a decimal. */
export function sayPercent(ratio: number): string {
  const percent = ratio * 100;
  return `${roundTo(percent, percent < 1 ? 1 : 0)}%`;
}

/** Joins words as a sentence does: "a", "a and b", "a, b and c". */
export function sayList(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}

/** Numbers in words, each at its own place. */
export const SMALL_NUMBERS: readonly string[] = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
