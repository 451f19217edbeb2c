import type { Point } from './lens';

/**
 * The edge of a round pipe as a lens that looks along it sees it: an ellipse about `centre`. The middle
 * radius is √(area ÷ π); the stretch is a symmetric map without change of area, so that up in the picture
 * stays up in the pipe.
 */
export type PipeFit = {
  readonly centre: Point;
  /** Half heights of the picture. */
  readonly radius: number;
  /** Stretch along the picture's axes, and between them: 0 and 0 for a circle. */
  readonly stretch: readonly [along: number, across: number];
  /** How far the touches lie off the edge, root of the mean of squares, half heights. */
  readonly offRms: number;
};

/** How finely a hand touches: σ in half heights, two points of a picture 400 high. */
export const TOUCH_SIGMA = 0.01;
/** A joint seen along the pipe is nearly round: σ of each stretch before anything is touched. */
const STRETCH_SIGMA = 0.04;
const ROUNDS = 25;
const CLOSE_ENOUGH = 1e-10;

type Params = [x: number, y: number, logRadius: number, along: number, across: number];

/** exp of a symmetric matrix without trace: cosh m · 1 + sinh m ÷ m · S. */
function mapOf(along: number, across: number): readonly [xx: number, xy: number, yy: number] {
  const m = Math.hypot(along, across);
  const [even, odd] = [Math.cosh(m), m < 1e-9 ? 1 : Math.sinh(m) / m];
  return [even + odd * along, odd * across, even - odd * along];
}

const fitOf = ([x, y, logRadius, along, across]: Params, offRms: number): PipeFit => ({
  centre: { x, y },
  radius: Math.exp(logRadius),
  stretch: [along, across],
  offRms,
});

/** A point of the picture in the pipe: the middle is 0, the wall lies at 1, y is down. */
export function inPipe({ centre, radius, stretch }: PipeFit, { x, y }: Point): Point {
  const [xx, xy, yy] = mapOf(-stretch[0], -stretch[1]);
  const [dx, dy] = [(x - centre.x) / radius, (y - centre.y) / radius];
  return { x: xx * dx + xy * dy, y: xy * dx + yy * dy };
}

/** The point of the picture that shows a place in the pipe: `inPipe` undone. */
export function onPicture({ centre, radius, stretch }: PipeFit, { x, y }: Point): Point {
  const [xx, xy, yy] = mapOf(stretch[0], stretch[1]);
  return { x: centre.x + radius * (xx * x + xy * y), y: centre.y + radius * (xy * x + yy * y) };
}

/** How far each touch lies outside the edge, half heights. */
const offOf = (params: Params, touches: readonly Point[]): number[] => {
  const fit = fitOf(params, 0);
  return touches.map((touch) => {
    const { x, y } = inPipe(fit, touch);
    return (Math.hypot(x, y) - 1) * fit.radius;
  });
};

/** The circle that lies closest to all touches by algebra (Kåsa 1976): a start. `null` when they lie in line. */
function circleOf(touches: readonly Point[]): Params | null {
  const count = touches.length;
  const mean = {
    x: touches.reduce((sum, { x }) => sum + x, 0) / count,
    y: touches.reduce((sum, { y }) => sum + y, 0) / count,
  };
  let [xx, xy, yy, xz, yz, zz] = [0, 0, 0, 0, 0, 0];
  for (const touch of touches) {
    const [x, y] = [touch.x - mean.x, touch.y - mean.y];
    const z = x * x + y * y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xz += x * z;
    yz += y * z;
    zz += z;
  }
  const determinant = xx * yy - xy * xy;
  if (determinant < 1e-9 * (xx + yy) ** 2) return null;
  const x = (xz * yy - yz * xy) / determinant / 2;
  const y = (yz * xx - xz * xy) / determinant / 2;
  const radius = Math.sqrt(x * x + y * y + zz / count);
  return radius > 20 ? null : [mean.x + x, mean.y + y, Math.log(radius), 0, 0];
}

/** Solves a small symmetric system by elimination with pivots. */
function solve(matrix: number[][], right: number[]): number[] {
  const size = right.length;
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(matrix[row]![column]!) > Math.abs(matrix[pivot]![column]!)) pivot = row;
    [matrix[column], matrix[pivot]] = [matrix[pivot]!, matrix[column]!];
    [right[column], right[pivot]] = [right[pivot]!, right[column]!];
    for (let row = column + 1; row < size; row += 1) {
      const share = matrix[row]![column]! / matrix[column]![column]!;
      for (let at = column; at < size; at += 1) matrix[row]![at]! -= share * matrix[column]![at]!;
      right[row]! -= share * right[column]!;
    }
  }
  const result = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    let left = right[row]!;
    for (let at = row + 1; at < size; at += 1) left -= matrix[row]![at]! * result[at]!;
    result[row] = left / matrix[row]![row]!;
  }
  return result;
}

/**
 * Fits the pipe to three touches or more on the edge of one joint: least squares of their distances from the
 * edge (Gauss–Newton), with the prior that the joint looks nearly round, so that three touches give a circle
 * and many the ellipse.
 *
 * @returns `null` for fewer than three touches, or when they lie in a line.
 */
export function fitPipe(touches: readonly Point[]): PipeFit | null {
  if (touches.length < 3) return null;
  let params = circleOf(touches);
  if (!params) return null;
  for (let round = 0; round < ROUNDS; round += 1) {
    const here = params;
    const off = offOf(here, touches);
    const slopes = here.map((_, at) => {
      const moved = [...here] as Params;
      moved[at]! += 1e-6;
      return offOf(moved, touches).map((value, index) => (value - off[index]!) / 1e-6);
    });
    const matrix = slopes.map((one) =>
      slopes.map((two) => one.reduce((sum, value, index) => sum + value * two[index]!, 0)),
    );
    const right = slopes.map((one) => -one.reduce((sum, value, i) => sum + value * off[i]!, 0));
    // In units of a touch's own σ, the prior weighs as so many touches.
    const weight = (TOUCH_SIGMA / STRETCH_SIGMA) ** 2;
    for (const at of [3, 4]) {
      matrix[at]![at]! += weight;
      right[at]! -= weight * here[at]!;
    }
    const step = solve(matrix, right);
    if (step.some((value) => !Number.isFinite(value))) return null;
    params = here.map((value, at) => value + step[at]!) as Params;
    if (step.every((value) => Math.abs(value) < CLOSE_ENOUGH)) break;
  }
  const off = offOf(params, touches);
  const offRms = Math.sqrt(off.reduce((sum, value) => sum + value * value, 0) / off.length);
  return Number.isFinite(offRms) ? fitOf(params, offRms) : null;
}
