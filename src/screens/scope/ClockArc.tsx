import { arcHours } from '#core/measure/clock';
import styles from './CalloutLine.module.css';

const RADIUS = 9;
const at = (hour: number) => {
  const angle = (hour / 12) * 2 * Math.PI - Math.PI / 2;
  return `${(12 + RADIUS * Math.cos(angle)).toFixed(2)} ${(12 + RADIUS * Math.sin(angle)).toFixed(2)}`;
};

/** A small bore with the arc that was said, so that one the wrong way round is seen. */
export function ClockArc({ from, to }: { readonly from: number; readonly to: number }) {
  const hours = arcHours({ from, to });
  const isPoint = hours < 0.5;
  const start = isPoint ? from - 0.3 : from;
  const end = isPoint ? from + 0.3 : to;
  const large = (isPoint ? 0.6 : hours) > 6 ? 1 : 0;
  return (
    <svg className={styles['clock']} viewBox="0 0 24 24" width="26" height="26" aria-hidden="true">
      <circle cx="12" cy="12" r={RADIUS} />
      <path d={`M${at(start)} A${RADIUS} ${RADIUS} 0 ${large} 1 ${at(end)}`} />
    </svg>
  );
}
