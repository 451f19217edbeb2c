import type { Point } from '../still/lens';
import { fitPipe, onPicture, type PipeFit } from '../still/pipe-fit';
import { type Grey, isOn, lightAt } from './grey';

/** The pipe's edge as it seems to lie, and how much of it was seen. */
export type PipeGuess = {
  readonly fit: PipeFit;
  /** Share of the edge at which a step in brightness lies on it, 0 to 1. */
  readonly seen: number;
};

const RAYS = 72;
/** A step is looked for over this much of the radius, on either side of the edge. */
const BAND = 0.1;
/** Two sides of an edge are compared so far from it, half heights. */
const STEP = 0.02;
/** A touch on the edge may lie this far off it and still belong to it, half heights. */
const NEAR = 0.025;
/** An edge of which less was seen is no guess. */
export const LEAST_SEEN = 0.45;

type Circle = { readonly x: number; readonly y: number; readonly radius: number };

const rays = Array.from({ length: RAYS }, (_, index) => {
  const angle = (2 * Math.PI * index) / RAYS;
  return { x: Math.sin(angle), y: -Math.cos(angle) };
});

/** How much brighter it is just outside a place than just inside, along a ray. */
function stepAt(grey: Grey, { x, y }: Point, ray: Point): number {
  return (
    lightAt(grey, x + ray.x * STEP, y + ray.y * STEP) -
    lightAt(grey, x - ray.x * STEP, y - ray.y * STEP)
  );
}

/**
 * How well a circle lies on a step in brightness: over its rays, the strength where most of them agree. A joint is
 * dark on its far side or on its near side all round, so steps of one sign count and others against it; what hides
 * part of it (water, roots) takes part of the rays, not all.
 */
function scoreOf(grey: Grey, { x, y, radius }: Circle): number {
  let sum = 0;
  let count = 0;
  for (const ray of rays) {
    const at = { x: x + ray.x * radius, y: y + ray.y * radius };
    if (!isOn(grey, at.x, at.y)) continue;
    count += 1;
    // One bright root must not outweigh the whole edge.
    sum += Math.min(30, Math.max(-30, stepAt(grey, at, ray)));
  }
  // A ring that is hardly on the picture says nothing, however well it fits there.
  return count < RAYS * 0.6 ? 0 : Math.abs(sum) / count;
}

function bestCircle(grey: Grey): Circle | null {
  let best: (Circle & { score: number }) | null = null;
  const consider = (circle: Circle) => {
    const score = scoreOf(grey, circle);
    // The nearer of two rings that show as well is the better one to measure on.
    if (!best || score * (1 + 0.12 * circle.radius) > best.score * (1 + 0.12 * best.radius))
      best = { ...circle, score };
  };
  for (let radius = 0.28; radius <= 0.96; radius += 0.03)
    for (let x = -0.24; x <= 0.241; x += 0.06)
      for (let y = -0.36; y <= 0.361; y += 0.06) consider({ x, y, radius });
  for (const step of [0.02, 0.01, 0.005]) {
    const around = best as Circle | null;
    if (!around) return null;
    for (let dx = -2; dx <= 2; dx += 1)
      for (let dy = -2; dy <= 2; dy += 1)
        for (let dr = -2; dr <= 2; dr += 1)
          consider({
            x: around.x + dx * step,
            y: around.y + dy * step,
            radius: around.radius + dr * step,
          });
  }
  return best;
}

/** Along every ray, the place near a circle where the brightness steps most, the way it does round most of it. */
function edgePoints(grey: Grey, { x, y, radius }: Circle): Point[] {
  const sign = Math.sign(
    rays.reduce(
      (sum, ray) => sum + stepAt(grey, { x: x + ray.x * radius, y: y + ray.y * radius }, ray),
      0,
    ),
  );
  return rays.flatMap((ray): Point[] => {
    let best: { point: Point; step: number } | null = null;
    for (let by = -BAND; by <= BAND; by += 0.005) {
      const out = radius * (1 + by);
      const point = { x: x + ray.x * out, y: y + ray.y * out };
      if (!isOn(grey, point.x, point.y)) continue;
      const step = sign * stepAt(grey, point, ray);
      if (step > 2 && (!best || step > best.step)) best = { point, step };
    }
    return best ? [best.point] : [];
  });
}

const offFit = (fit: PipeFit, { x, y }: Point): number =>
  Math.min(
    ...rays.map((ray) => {
      const edge = onPicture(fit, ray);
      return Math.hypot(edge.x - x, edge.y - y);
    }),
  );

/**
 * A first guess at the edge of a joint: the circle that lies on the strongest step in brightness, then an ellipse
 * through the steps near it, fitted again without those that lie off it.
 *
 * @param grey smoothed, some 200 points high: more only costs time.
 * @returns `null` where too little of an edge is seen.
 */
export function guessPipe(grey: Grey): PipeGuess | null {
  const circle = bestCircle(grey);
  if (!circle) return null;
  let points = edgePoints(grey, circle);
  let fit = fitPipe(points);
  for (let round = 0; fit && round < 3; round += 1) {
    const now: PipeFit = fit;
    const near = points.filter((point) => offFit(now, point) < NEAR * (3 - round));
    if (near.length < 8) return null;
    points = near;
    fit = fitPipe(near);
  }
  if (!fit) return null;
  const seen = points.length / RAYS;
  return seen < LEAST_SEEN ? null : { fit, seen };
}
