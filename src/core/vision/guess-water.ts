import type { Point } from '../still/lens';
import { onPicture, type PipeFit } from '../still/pipe-fit';
import { type Grey, isOn, lightAt } from './grey';

/** Where the water's line meets the wall, and how clearly it is seen. */
export type WaterGuess = {
  readonly ends: readonly [Point, Point];
  /** Depth ÷ diameter. */
  readonly fill: number;
  /** How many times more the picture changes there than it does elsewhere round the pipe. */
  readonly clearness: number;
};

/** A line that stands out less is no guess. */
export const LEAST_CLEAR = 7;
/** A change smaller than this is grain, of 255. */
const LEAST_CHANGE = 5;
/** The wall is looked at along circles so many times as large as the edge that was fitted. */
const CIRCLES = [0.9, 1.08, 1.18, 1.3] as const;
const STEP = Math.PI / 90;
/** What lies just above is held against what lies just below over so much of the clock, and no nearer than a step. */
const WINDOW_STEPS = 7;
/** Water is looked for between these, from the bottom: shallower nobody can measure, deeper no lens is above it. */
const [FROM_STEP, TO_STEP] = [8, 60] as const;

type Colour = readonly number[];

/** Mean of the planes along the wall from one step to another, on one side; `null` where it is off the picture. */
function meanOf(planes: readonly Grey[], fit: PipeFit, side: 1 | -1, from: number, to: number) {
  const sum = planes.map(() => 0);
  let count = 0;
  for (let step = from; step <= to; step += 1) {
    const angle = step * STEP;
    for (const out of CIRCLES) {
      const { x, y } = onPicture(fit, {
        x: side * Math.sin(angle) * out,
        y: Math.cos(angle) * out,
      });
      if (!isOn(planes[0]!, x, y)) continue;
      count += 1;
      planes.forEach((plane, index) => (sum[index]! += lightAt(plane, x, y)));
    }
  }
  return count < to - from ? null : sum.map((one) => one / count);
}

const minus = (a: Colour, b: Colour): Colour => a.map((one, index) => one - b[index]!);
const dot = (a: Colour, b: Colour) => a.reduce((sum, one, index) => sum + one * b[index]!, 0);

/** How much the picture changes at a step from the bottom, the same way on both sides: a stain has one side. */
function changeAt(planes: readonly Grey[], fit: PipeFit, step: number): number {
  const [left, right] = ([-1, 1] as const).map((side) => {
    const below = meanOf(planes, fit, side, Math.max(0, step - WINDOW_STEPS), step - 1);
    const above = meanOf(planes, fit, side, step + 1, step + WINDOW_STEPS);
    return below && above ? minus(above, below) : null;
  });
  return left && right ? Math.sqrt(Math.max(0, dot(left, right))) : 0;
}

/**
 * A first guess at the water's line in a pipe whose edge is known: the place of the clock at which, on both
 * sides, brightness and colour change most from just above to just below, and much more than elsewhere.
 *
 * @param planes the picture's brightness and tones (`planesOf`), smoothed.
 * @returns `null` where no level stands out.
 */
export function guessWater(planes: readonly Grey[], fit: PipeFit): WaterGuess | null {
  const changes = Array.from({ length: TO_STEP - FROM_STEP + 1 }, (_, index) => {
    const step = FROM_STEP + index;
    return { step, change: changeAt(planes, fit, step) };
  });
  const best = changes.reduce((most, one) => (one.change > most.change ? one : most));
  const sorted = changes.map(({ change }) => change).sort((a, b) => a - b);
  const usual = sorted[Math.floor(sorted.length / 2)]!;
  const clearness = best.change / Math.max(1, usual);
  if (clearness < LEAST_CLEAR || best.change < LEAST_CHANGE) return null;
  const angle = best.step * STEP;
  const end = (side: 1 | -1) => onPicture(fit, { x: side * Math.sin(angle), y: Math.cos(angle) });
  return { ends: [end(-1), end(1)], fill: (1 - Math.cos(angle)) / 2, clearness };
}
