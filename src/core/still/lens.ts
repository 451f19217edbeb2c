import type { Touch } from '../model/log/still-measure';

/** A point of a picture in half heights from its middle, x to the right, y down. */
export type Point = { readonly x: number; readonly y: number };

/** What bends a picture: its shape, and one number for the lens. */
export type Glass = {
  /** Width ÷ height. */
  readonly aspect: number;
  /** Distortion per half height squared; 0 for none, below 0 for a barrel. */
  readonly distortion: number;
};

/**
 * Where a touch would lie on the picture of a lens without distortion, by the division model of one number
 * (Fitzgibbon, *Simultaneous linear estimation of multiple view geometry and lens distortion*, 2001):
 * r = r' ÷ (1 + k·r'²).
 */
export function straighten([x, y]: Touch, { aspect, distortion }: Glass): Point {
  const seen = { x: (2 * x - 1) * aspect, y: 2 * y - 1 };
  const divisor = 1 + distortion * (seen.x ** 2 + seen.y ** 2);
  return { x: seen.x / divisor, y: seen.y / divisor };
}

/** The touch that shows a point: `straighten` undone. r' solves k·r·r'² − r' + r = 0. */
export function bend({ x, y }: Point, { aspect, distortion }: Glass): Touch {
  const r = Math.hypot(x, y);
  const root = 1 - 4 * distortion * r * r;
  // Beyond the edge of what such a lens can show a point lies on that edge.
  const scale = distortion === 0 || r === 0 ? 1 : 2 / (1 + Math.sqrt(Math.max(0, root)));
  return [(x * scale) / aspect / 2 + 0.5, (y * scale) / 2 + 0.5];
}
