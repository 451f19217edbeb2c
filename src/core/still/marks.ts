import type { StillMeasure, Touch } from '../model/log/still-measure';
import { fitPipe, onPicture } from './pipe-fit';
import { straightView } from './view';

/** The pipe's edge is drawn by so many points. */
const ROUND = 72;

/** A line over a still: the edge of the pipe as it was fitted, or what was touched on the thing. */
export type StillMark = {
  readonly of: 'pipe' | 'thing';
  readonly points: readonly Touch[];
  readonly isClosed: boolean;
};

/** The edge of the pipe that touches fit, as places on the picture; none while they fit none. */
function edgeOf(measure: StillMeasure): StillMark[] {
  const { toPlane, toTouch } = straightView(measure);
  const fit = fitPipe(measure.pipe.map(toPlane));
  if (!fit) return [];
  const points = Array.from({ length: ROUND }, (_, index) => {
    const angle = (2 * Math.PI * index) / ROUND;
    return toTouch(onPicture(fit, { x: Math.sin(angle), y: -Math.cos(angle) }));
  });
  return [{ of: 'pipe', points, isClosed: true }];
}

/** What was touched on a still to measure a thing, as lines over it. */
export function marksOf(measure: StillMeasure): readonly StillMark[] {
  const { on, what } = measure;
  const edge = edgeOf(measure);
  if (what === 'gap') {
    const far = edgeOf({ ...measure, pipe: on }).map((one): StillMark => ({ ...one, of: 'thing' }));
    return [...edge, ...far];
  }
  return on.length === 0
    ? edge
    : [...edge, { of: 'thing', points: on, isClosed: what === 'share' }];
}

/** A mark as the `points` of a drawing that is `aspect` wide and 1 high, times `scale`. */
export const markPoints = ({ points }: StillMark, aspect: number, scale: number): string =>
  points.map(([x, y]) => `${(x * aspect * scale).toFixed(2)},${(y * scale).toFixed(2)}`).join(' ');
