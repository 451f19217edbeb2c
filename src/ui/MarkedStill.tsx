import type { ReactNode } from 'react';
import type { StillMeasure } from '#core/model/log/still-measure';
import { StillMarks } from './StillMarks';
import styles from './StillMarks.module.css';

type Props = {
  /** What was measured on it; nothing is drawn where nothing was. */
  readonly measures: readonly StillMeasure[] | undefined;
  readonly className?: string | undefined;
  /** The picture. */
  readonly children: ReactNode;
};

/** A still with what was measured drawn over it. */
export function MarkedStill({ measures = [], className, children }: Props) {
  return (
    <span className={[styles['still'], className].filter(Boolean).join(' ')}>
      {children}
      {measures.length > 0 && <StillMarks measures={measures} />}
    </span>
  );
}
