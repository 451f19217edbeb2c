const FT_PER_M = 1 / 0.3048;
/** A number with what may follow it: "0012.3", "+12.5 ft", "3.75m", "−0.2'". */
const NUMBER = /([+\-−]?\d+(?:[.,]\d+)?)\s*(ft|feet|foot|'|m\b|meters?|metres?)?/gi;
/** A time of day or a date holds numbers that are none. */
const TIME = /\d{1,2}:\d{2}(?::\d{2})?(?:[.,]\d+)?|\d{4}-\d{2}-\d{2}/g;
/** No reel is longer, feet. */
const MOST_FT = 2000;

/**
 * The reading that a line of a reel tells, feet: the number with a unit, else the one with a decimal, else the
 * only one.
 *
 * @returns `null` where it tells none, or several that are as likely.
 */
export function readCounterLine(line: string): number | null {
  const numbers = [...line.replace(TIME, ' ').matchAll(NUMBER)].map(([, digits, unit]) => ({
    value:
      Number(digits!.replace(',', '.').replace('−', '-')) * (/^m/i.test(unit ?? '') ? FT_PER_M : 1),
    hasUnit: unit !== undefined,
    hasDecimal: /[.,]/.test(digits!),
  }));
  const likely = [
    numbers.filter(({ hasUnit }) => hasUnit),
    numbers.filter(({ hasDecimal }) => hasDecimal),
    numbers,
  ].find(({ length }) => length > 0);
  const [only, ...others] = likely ?? [];
  if (!only || others.length > 0 || Math.abs(only.value) > MOST_FT) return null;
  return only.value;
}
