import type { Point } from './lens';

/** Points this close to the wall, as a share of the radius, lie on it. */
const ON_WALL = 0.08;

/** Two of them no farther apart than this are joined along the wall, and others straight across: 2½ hours. */
const ALONG_WALL = (2.5 * Math.PI) / 6;

const onWall = ({ x, y }: Point) => Math.hypot(x, y) > 1 - ON_WALL;

/** The angle at the pipe's middle from one point to another, −π to π. */
const angleBetween = (from: Point, to: Point) =>
  Math.atan2(from.x * to.y - from.y * to.x, from.x * to.x + from.y * to.y);

/** A point within the pipe: what was touched beyond the wall lies on it. */
function within(point: Point): Point {
  const out = Math.hypot(point.x, point.y);
  return out > 1 ? { x: point.x / out, y: point.y / out } : point;
}

/**
 * Share of the pipe's area within an outline, 0 to 1: the shoelace sum over the area of the circle. Between
 * neighbouring points that lie on the wall the outline goes along the wall: a segment of the circle more.
 */
export function shareWithin(outline: readonly Point[]): number {
  let twice = 0;
  outline.forEach((raw, index) => {
    const next = outline[(index + 1) % outline.length]!;
    const angle = angleBetween(raw, next);
    if (onWall(raw) && onWall(next) && Math.abs(angle) < ALONG_WALL) {
      // Triangle and segment together are a sector.
      twice += angle;
      return;
    }
    const [from, to] = [within(raw), within(next)];
    twice += from.x * to.y - from.y * to.x;
  });
  return Math.min(1, Math.abs(twice) / 2 / Math.PI);
}

/**
 * Depth of water ÷ diameter from the two places where its line meets the wall: 1/2 when the line goes through
 * the middle. Up is square to the line, on the upper side of the picture.
 */
export function fillTo([one, two]: readonly [Point, Point]): number {
  const [dx, dy] = [two.x - one.x, two.y - one.y];
  const long = Math.hypot(dx, dy) || 1;
  // The normal that points up in the picture, where y grows downward.
  const [nx, ny] = dx >= 0 ? [dy / long, -dx / long] : [-dy / long, dx / long];
  const height = (nx * (one.x + two.x) + ny * (one.y + two.y)) / 2;
  return Math.min(1, Math.max(0, (1 + height) / 2));
}

/**
 * Hours clockwise from the top of the pipe, 0 to 12, as the lens sees it.
 *
 * @param turn how far the pipe's own bottom is turned clockwise in the picture, hours.
 */
export function hoursAt({ x, y }: Point, turn = 0): number {
  const hours = (Math.atan2(x, -y) * 6) / Math.PI - turn;
  return ((hours % 12) + 12) % 12;
}
