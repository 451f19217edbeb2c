import { sayFt, sayList } from '#core/base/numbers';
import type { Finding } from '#core/judge/finding';
import { methodById } from '#core/planning/methods/index';
import { sayRange } from '#core/planning/money';
import type { PriceLine, Work } from '#core/planning/work';

/** Where a work is: "41–60", one footage for a point. */
export function sayStations({
  fromFt,
  toFt,
}: {
  readonly fromFt: number;
  readonly toFt: number;
}): string {
  const say = (feet: number) => sayFt(feet).replace('-', '−');
  const [from, to] = [say(fromFt), say(toFt)];
  return from === to ? from : `${from}–${to}`;
}

/** What a work is, for a bracket: "dig and replace, 18.1 ft". */
export function sayBracket({
  method,
  fromFt,
  toFt,
}: {
  readonly method: Work['method'];
  readonly fromFt: number;
  readonly toFt: number;
}): string {
  const longFt = toFt - fromFt;
  const { name, role } = methodById(method);
  const isLong = longFt >= 0.5 && (role === 'replace' || method === 'liner');
  return `${name.toLowerCase()}${isLong ? `, ${sayFt(longFt)} ft` : ''}`;
}

/** "finding 4", "findings 4 and 5". */
export function sayFindings(numbers: readonly number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b);
  return `finding${sorted.length === 1 ? '' : 's'} ${sayList(sorted.map(String))}`;
}

/** Numbers of findings by their ids. */
export function numbersOf(findings: readonly Finding[], ids: readonly string[]): number[] {
  return ids.flatMap((id) => findings.find((one) => one.id === id)?.number ?? []);
}

/** One line of a price: "18.1 ft × $90–190 × 1.25 for depth". */
export function sayQuantity({ quantity, unit, rate, factor }: PriceLine): string {
  const many = unit === 'foot' ? `${sayFt(quantity)} ft` : String(quantity);
  const depth = factor === 1 ? '' : ` × ${factor} for depth`;
  return `${many} × ${sayRange(rate)}${depth}`;
}

/** Feet or dollars as typed; `null` when it is no number. A comma serves as a point, a true minus as a hyphen. */
export function readFeet(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  return /^-?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}
