import type { Severity } from '#core/catalogue/severity/grade';
import { flakeOutline } from '#core/section/flakes';
import type { Point } from '#core/section/primitives';
import styles from './Flake.module.css';

type Props = { readonly severity: Severity; readonly number: number };

/** A finding's stone with its number, in a drawing. */
export function Stone({ severity, number, center }: Props & { readonly center: Point }) {
  const points = flakeOutline(severity, number, center)
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
  return (
    <g className={styles['flake']}>
      <polygon className={styles[severity]} points={points} />
      <text x={center.x} y={center.y + 4.5} textAnchor="middle" data-long={number > 99}>
        {number}
      </text>
    </g>
  );
}

/** A finding's stone with its number, for lists. The severity word stands beside it there. */
export function Flake(props: Props) {
  return (
    <svg className={styles['flake']} viewBox="0 0 30 30" width="30" height="30" aria-hidden="true">
      <Stone {...props} center={{ x: 15, y: 15 }} />
    </svg>
  );
}
