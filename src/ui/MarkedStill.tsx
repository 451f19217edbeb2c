import type { ReactNode } from 'react';
import type { StillMeasure } from '#core/model/log/still-measure';
import { LINES_ON_STILL } from '#core/report/words';
import { StillMarks } from './StillMarks';
import styles from './StillMarks.module.css';

type Props = {
  /** What was measured on it; nothing is drawn where nothing was. */
  readonly measures: readonly StillMeasure[] | undefined;
  readonly className?: string | undefined;
  /** The picture. */
  readonly children: ReactNode;
};

/** A still with what was measured drawn over it, and what the lines are. */
export function MarkedStill({ measures = [], className, children }: Props) {
  return (
    <span className={[styles['still'], className].filter(Boolean).join(' ')}>
      <span className={styles['drawn']}>
        {children}
        {measures.length > 0 && <StillMarks measures={measures} />}
      </span>
      {measures.length > 0 && <small>{LINES_ON_STILL}</small>}
    </span>
  );
}
