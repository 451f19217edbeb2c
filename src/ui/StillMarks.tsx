import type { StillMeasure } from '#core/model/log/still-measure';
import { markPoints, marksOf } from '#core/still/marks';
import styles from './StillMarks.module.css';

/** Height of the drawing in its own units. */
const HIGH = 100;

/** What was touched on a still, drawn over it: the pipe's edge as it was fitted, and the thing. */
export function StillMarks({ measures }: { readonly measures: readonly StillMeasure[] }) {
  const aspect = measures[0]?.aspect ?? 1;
  return (
    <svg
      className={styles['marks']}
      viewBox={`0 0 ${HIGH * aspect} ${HIGH}`}
      preserveAspectRatio="xMidYMid slice"
      aria-hidden="true"
    >
      {measures.flatMap((measure) =>
        marksOf(measure).map((mark, index) => {
          const Line = mark.isClosed ? 'polygon' : 'polyline';
          return (
            <Line
              key={`${measure.what} ${index}`}
              className={styles[mark.of]}
              points={markPoints(mark, aspect, HIGH)}
            />
          );
        }),
      )}
    </svg>
  );
}
