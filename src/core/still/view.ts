import type { StillMeasure, Touch } from '../model/log/still-measure';
import { bend, type Point, straighten } from './lens';

/** How a lens that nobody told of sees, degrees of its picture's height: between a narrow and a wide pipe camera. */
export const USUAL_FIELD_DEG = 65;

/**
 * A picture as if the lens looked straight along the pipe: there a joint is a circle, and what lies at the joint keeps
 * its shape.
 */
export type StraightView = {
  readonly toPlane: (touch: Touch) => Point;
  /** `toPlane` undone; a place behind the lens comes out at the edge of the picture. */
  readonly toTouch: (point: Point) => Touch;
};

type Vector = readonly [x: number, y: number, z: number];

/** Turns so that one direction comes to lie along the axis (Rodrigues); all of it undone with `back`. */
function turnOnto([vx, vy, vz]: Vector) {
  const long = Math.hypot(vx, vy, vz);
  const [nx, ny, nz] = [vx / long, vy / long, vz / long];
  // The axis of the turn is square to both: (ny, −nx, 0); its sine is their distance, its cosine nz.
  const by = 1 / (1 + nz);
  const rows: readonly Vector[] = [
    [1 - nx * nx * by, -nx * ny * by, -nx],
    [-nx * ny * by, 1 - ny * ny * by, -ny],
    [nx, ny, nz],
  ];
  return {
    there: (v: Vector): Vector => [dot(rows[0]!, v), dot(rows[1]!, v), dot(rows[2]!, v)],
    back: (v: Vector): Vector => [
      rows[0]![0] * v[0] + rows[1]![0] * v[1] + rows[2]![0] * v[2],
      rows[0]![1] * v[0] + rows[1]![1] * v[1] + rows[2]![1] * v[2],
      rows[0]![2] * v[0] + rows[1]![2] * v[1] + rows[2]![2] * v[2],
    ],
  };
}

const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/**
 * The straight view of a measure: lens distortion off first, then turned until the place where the pipe vanishes lies
 * in the middle, which is where a pipe vanishes for a lens that looks along it.
 *
 * @param vanish where the pipe vanishes, half heights; for a σ it is moved a little.
 */
export function straightView(
  { aspect, distortion = 0, fieldDeg = USUAL_FIELD_DEG, vanish }: StillMeasure,
  byX = 0,
  byY = 0,
): StraightView {
  const glass = { aspect, distortion };
  const focal = 1 / Math.tan((fieldDeg * Math.PI) / 360);
  const seen = vanish ? straighten(vanish, glass) : { x: 0, y: 0 };
  const turn = turnOnto([seen.x + byX, seen.y + byY, focal]);
  const onPlane = ([x, y, z]: Vector): Point => {
    const depth = Math.max(1e-3, z);
    return { x: (focal * x) / depth, y: (focal * y) / depth };
  };
  return {
    toPlane: (touch) => {
      const { x, y } = straighten(touch, glass);
      return onPlane(turn.there([x, y, focal]));
    },
    toTouch: ({ x, y }) => bend(onPlane(turn.back([x, y, focal])), glass),
  };
}
