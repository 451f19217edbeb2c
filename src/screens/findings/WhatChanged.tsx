import type { Rejudged } from '#core/judge/compare';
import styles from './Findings.module.css';
import { sayRejudged } from './say';

type Props = {
  readonly after: string;
  readonly changes: readonly Rejudged[];
  readonly onSelect: (number: number) => void;
  readonly onClose: () => void;
};

/** What the last thing done on this screen changed in the judgement. */
export function WhatChanged({ after, changes, onSelect, onClose }: Props) {
  const count =
    changes.length === 0
      ? 'Nothing changed'
      : changes.length === 1
        ? 'One thing changed'
        : `${changes.length} things changed`;
  return (
    <section className={styles['changed']} aria-label="What changed" role="status">
      <p>
        <b>{count}</b> after {after}.
      </p>
      {changes.length > 0 && (
        <ul className={styles['plainList']}>
          {changes.map((change) => (
            <li key={`${change.number} ${change.change}`}>
              <button type="button" onClick={() => onSelect(change.number)}>
                {sayRejudged(change)}
              </button>
            </li>
          ))}
        </ul>
      )}
      <button type="button" className={styles['close']} onClick={onClose}>
        Seen
      </button>
    </section>
  );
}
