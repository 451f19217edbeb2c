import type { StaleDecision } from '#core/judge/finding';
import styles from './Detail.module.css';

type Props = {
  readonly stale: readonly StaleDecision[];
  /** Says it again over what there is now; absent where its finding is gone. */
  readonly onAgain?: (decisionId: string) => void;
  readonly onDrop: (decisionId: string) => void;
};

/** What the inspector said over other evidence: shown, not in force, to be said again or let go. */
export function Stale({ stale, onAgain, onDrop }: Props) {
  return stale.map(({ decisionId, said, reason, changed }) => (
    <div key={decisionId} className={styles['stale']} role="note" aria-label="Your word is stale">
      <p>
        <b>Your word is stale:</b> {said}
        {reason === '' ? '' : ` (“${reason}”)`}. It was given over other evidence and is not in
        force.
      </p>
      <ul className={styles['plainList']}>
        {changed.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <div className={styles['buttons']}>
        {onAgain && (
          <button type="button" onClick={() => onAgain(decisionId)}>
            Say it again
          </button>
        )}
        <button type="button" onClick={() => onDrop(decisionId)}>
          Let it go
        </button>
      </div>
    </div>
  ));
}
