import type { Severity } from '#core/catalogue/severity/grade';
import { flakeOutline } from '#core/section/flakes';
import styles from './Flake.module.css';

/** A finding's stone with its number, for lists. The severity word stands beside it there. */
export function Flake({
  severity,
  number,
}: {
  readonly severity: Severity;
  readonly number: number;
}) {
  const points = flakeOutline(severity, number, { x: 15, y: 15 })
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
  return (
    <svg className={styles['flake']} viewBox="0 0 30 30" width="30" height="30" aria-hidden="true">
      <polygon className={styles[severity]} points={points} />
      <text x="15" y="19.5" textAnchor="middle" data-long={number > 99}>
        {number}
      </text>
    </svg>
  );
}
