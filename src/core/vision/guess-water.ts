import type { Point } from '../still/lens';
import { onPicture, type PipeFit } from '../still/pipe-fit';
import { type Grey, lightAt } from './grey';

/** Where the water's line meets the wall, and how clearly it is seen. */
export type WaterGuess = {
  readonly ends: readonly [Point, Point];
  /** Depth ÷ diameter. */
  readonly fill: number;
  /** How many times stronger than the next best line, 1 and more. */
  readonly clearness: number;
};

const LEVELS = 90;
const ACROSS = 25;
/** A line that stands out less from the others is no guess. */
export const LEAST_CLEAR = 1.35;
/** Two sides of the line are compared so far from it, as a share of the radius. */
const STEP = 0.05;

/** Brightness along a level of the pipe, from wall to wall. */
function levelLight(grey: Grey, fit: PipeFit, height: number): number[] {
  const half = Math.sqrt(Math.max(0, 1 - height * height)) * 0.86;
  return Array.from({ length: ACROSS }, (_, index) => {
    const x = half * ((2 * index) / (ACROSS - 1) - 1);
    const { x: px, y: py } = onPicture(fit, { x, y: -height });
    return lightAt(grey, px, py);
  });
}

const median = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/**
 * A first guess at the water's line in a pipe whose edge is known: the level at which the picture changes most
 * from just above to just below, over most of its width (the middle of the changes, so that one root or one
 * glint does not make a line).
 *
 * @returns `null` where no level stands out.
 */
export function guessWater(grey: Grey, fit: PipeFit): WaterGuess | null {
  const changes = Array.from({ length: LEVELS }, (_, index) => {
    const height = -0.93 + (1.7 * index) / (LEVELS - 1);
    const above = levelLight(grey, fit, height + STEP);
    const below = levelLight(grey, fit, height - STEP);
    return { height, change: Math.abs(median(above.map((light, at) => light - below[at]!))) };
  });
  const best = changes.reduce((most, one) => (one.change > most.change ? one : most));
  const others = changes.filter(({ height }) => Math.abs(height - best.height) > 4 * STEP);
  const next = Math.max(1, ...others.map(({ change }) => change));
  const clearness = best.change / next;
  if (clearness < LEAST_CLEAR || best.change < 3) return null;
  const half = Math.sqrt(Math.max(0, 1 - best.height ** 2));
  const end = (side: 1 | -1) => onPicture(fit, { x: side * half, y: -best.height });
  return { ends: [end(-1), end(1)], fill: (1 + best.height) / 2, clearness };
}
