import type { StillMeasure, Touch } from '#core/model/log/still-measure';
import { fitPipe, onPicture } from '#core/still/pipe-fit';
import { straightView } from '#core/still/view';
import styles from './StillMarks.module.css';

/** The pipe's edge is drawn by so many points. */
const ROUND = 72;

/** What was touched on a still, drawn over it: the pipe's edge as it was fitted, and the thing. */
export function StillMarks({ measures }: { readonly measures: readonly StillMeasure[] }) {
  return (
    <svg
      className={styles['marks']}
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      {measures.map((measure) => (
        <Marks key={measure.what} measure={measure} />
      ))}
    </svg>
  );
}

const path = (touches: readonly Touch[]) =>
  touches.map(([x, y]) => `${x.toFixed(4)},${y.toFixed(4)}`).join(' ');

/** The edge of the pipe that touches fit, as places on the picture; `null` while they fit none. */
function edgeOf(measure: StillMeasure): Touch[] | null {
  const { toPlane, toTouch } = straightView(measure);
  const fit = fitPipe(measure.pipe.map(toPlane));
  if (!fit) return null;
  return Array.from({ length: ROUND + 1 }, (_, index) => {
    const angle = (2 * Math.PI * index) / ROUND;
    return toTouch(onPicture(fit, { x: Math.sin(angle), y: -Math.cos(angle) }));
  });
}

function Marks({ measure }: { readonly measure: StillMeasure }) {
  const { on, what } = measure;
  const edge = edgeOf(measure);
  const far = what === 'gap' ? edgeOf({ ...measure, pipe: on }) : null;
  return (
    <g>
      {edge && <polyline className={styles['edge']} points={path(edge)} />}
      {far && <polyline className={styles['edge']} points={path(far)} />}
      {what === 'share' ? (
        <polygon className={styles['thing']} points={path(on)} />
      ) : (
        what !== 'gap' && <polyline className={styles['thing']} points={path(on)} />
      )}
    </g>
  );
}
