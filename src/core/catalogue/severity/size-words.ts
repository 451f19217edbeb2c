import type { DefectSize, InchField } from '../defect';
import type { SizeWord } from '../vocabulary';
import type { Facts } from './grade';

/** A middle value of a size and how far it may be out either way. */
type Spread = { readonly value: number; readonly from: number; readonly to: number };

/**
 * What a size said by a word stands for: shares of the pipe's area. Chert's own planning figures, wide on
 * purpose: a word is better than no size, and a number is better than a word.
 */
const OF_AREA: Record<SizeWord, Spread> = {
  trace: { value: 0.03, from: 0.01, to: 0.06 },
  light: { value: 0.07, from: 0.03, to: 0.14 },
  moderate: { value: 0.18, from: 0.09, to: 0.32 },
  heavy: { value: 0.4, from: 0.24, to: 0.7 },
  full: { value: 0.95, from: 0.8, to: 1 },
};
/** Depth of standing water ÷ diameter. */
const OF_WATER: Record<SizeWord, Spread> = {
  trace: { value: 0.05, from: 0.02, to: 0.1 },
  light: { value: 0.08, from: 0.04, to: 0.16 },
  moderate: { value: 0.2, from: 0.1, to: 0.38 },
  heavy: { value: 0.5, from: 0.3, to: 0.8 },
  full: { value: 1, from: 0.9, to: 1 },
};
/** Of a diameter half of what it is of an area. */
const OF_DIAMETER = 0.5;

type Sized = Partial<Pick<Facts, 'fillRatio' | 'extentRatio' | InchField>>;

/** The sizes that a word stands for; `null` for kinds that have none, or where the diameter is not known. */
export function sizesByWord(
  { share, isHeight, inches }: DefectSize,
  word: SizeWord,
  boreIn: number | null,
): Sized | null {
  if (share === 'fill') return { fillRatio: OF_WATER[word].value };
  if (share === 'area') return { extentRatio: OF_AREA[word].value };
  const across = OF_AREA[word].value * OF_DIAMETER;
  if (share === 'diameter') return { extentRatio: across };
  return isHeight && inches && boreIn !== null ? { [inches]: across * boreIn } : null;
}

/** How far a size said by a word may be out, as factors of its middle value. */
export function spreadOfWord(
  word: SizeWord,
  isWater: boolean,
): { readonly low: number; readonly high: number } {
  const { value, from, to } = (isWater ? OF_WATER : OF_AREA)[word];
  return { low: from / value, high: to / value };
}
