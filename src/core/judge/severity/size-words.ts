import type { DefectKind, SizeWord } from '../../log/vocabulary';
import type { Facts } from '../grade';

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

const BY_AREA: readonly DefectKind[] = [
  'roots',
  'scale',
  'grease',
  'debris',
  'mineral',
  'foreign-object',
];
const BY_DIAMETER: readonly DefectKind[] = ['deformation', 'intruding-tap'];
const BY_HEIGHT = { offset: 'offsetIn', lip: 'lipIn', gap: 'gapIn' } as const;

type Sized = Partial<Pick<Facts, 'fillRatio' | 'extentRatio' | 'offsetIn' | 'gapIn' | 'lipIn'>>;

/** The sizes that a word stands for; `null` for kinds that have none, or where the diameter is not known. */
export function sizesByWord(kind: DefectKind, word: SizeWord, boreIn: number | null): Sized | null {
  if (kind === 'standing-water') return { fillRatio: OF_WATER[word].value };
  if (BY_AREA.includes(kind)) return { extentRatio: OF_AREA[word].value };
  const across = OF_AREA[word].value * OF_DIAMETER;
  if (BY_DIAMETER.includes(kind)) return { extentRatio: across };
  const field = BY_HEIGHT[kind as keyof typeof BY_HEIGHT];
  if (field === undefined || boreIn === null) return null;
  return { [field]: across * boreIn };
}

/** How far a size said by a word may be out, as factors of its middle value. */
export function spreadOfWord(
  kind: DefectKind,
  word: SizeWord,
): { readonly low: number; readonly high: number } {
  const { value, from, to } = (kind === 'standing-water' ? OF_WATER : OF_AREA)[word];
  return { low: from / value, high: to / value };
}
