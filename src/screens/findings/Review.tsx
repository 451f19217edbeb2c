import { useState } from 'react';
import { awaitsInspector, type Finding } from '#core/judge/finding';
import styles from './Detail.module.css';

type Props = {
  readonly finding: Finding;
  readonly onReview: (verdict: 'confirmed' | 'dismissed', reason: string) => void;
  readonly onTakeBack: () => void;
  readonly onNext: () => void;
};

/** Confirm, dismiss with a reason, go on to the next that is open. */
export function Review({ finding, onReview, onTakeBack, onNext }: Props) {
  const [isDismissing, setDismissing] = useState(false);
  const [reason, setReason] = useState('');
  const { review } = finding;
  if (isDismissing) {
    return (
      <form
        className={styles['dismiss']}
        onSubmit={(event) => {
          event.preventDefault();
          if (reason.trim() === '') return;
          onReview('dismissed', reason.trim());
          setDismissing(false);
        }}
      >
        <label>
          Why is it no finding?
          <input
            value={reason}
            required
            // eslint-disable-next-line jsx-a11y/no-autofocus -- the press that opened this asked for it
            autoFocus
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
        <button type="submit" data-act="true">
          Dismiss it
        </button>
        <button type="button" onClick={() => setDismissing(false)}>
          Leave it
        </button>
      </form>
    );
  }
  return (
    <div className={styles['buttons']}>
      {review ? (
        <>
          <p className={styles['hint']}>
            {review.verdict}
            {review.reason === '' ? '' : `: ${review.reason}`}
          </p>
          <button type="button" onClick={onTakeBack}>
            Reopen
          </button>
        </>
      ) : (
        <>
          <button type="button" data-act="true" onClick={() => onReview('confirmed', '')}>
            Confirm
          </button>
          <button type="button" onClick={() => setDismissing(true)}>
            Dismiss…
          </button>
        </>
      )}
      <button type="button" onClick={onNext}>
        {awaitsInspector(finding) ? 'Next open' : 'On to the next open'}
      </button>
    </div>
  );
}
