import type { Range } from '../base/range';

/** Two significant figures: more would promise what a planning figure does not hold. */
function twoFigures(value: number): number {
  if (Math.abs(value) < 10) return Math.round(value);
  const step = 10 ** (Math.floor(Math.log10(Math.abs(value))) - 1);
  return Math.round(value / step) * step;
}

/** The number alone, in thousands from a thousand on ("5.2k", "450", "13k"). */
function figure(value: number, isThousands: boolean): string {
  if (!isThousands) return String(twoFigures(value));
  const thousands = Math.round(twoFigures(value) / 100) / 10;
  return thousands >= 10 ? String(Math.round(thousands)) : String(thousands);
}

/** Money to two significant figures: "$450", "$5.2k", "$13k". */
export function sayMoney(value: number): string {
  const isThousands = twoFigures(value) >= 1000;
  return `$${figure(value, isThousands)}${isThousands ? 'k' : ''}`;
}

/** A range to two significant figures: "$450–700", "$5.2k–9.1k", "$900–1.4k"; one figure when both are the same. */
export function sayRange({ low, high }: Pick<Range, 'low' | 'high'>): string {
  const [from, to] = [sayMoney(low), sayMoney(high)];
  if (from === to) return from;
  return `${from}–${to.slice(1)}`;
}

/** A rate as the price book has it: "$90–190". Whole dollars, cents below ten. */
export function sayRate({ low, high }: Pick<Range, 'low' | 'high'>): string {
  const one = (value: number) =>
    value >= 10 || Number.isInteger(value) ? String(Math.round(value)) : value.toFixed(2);
  return low === high ? `$${one(low)}` : `$${one(low)}–${one(high)}`;
}
