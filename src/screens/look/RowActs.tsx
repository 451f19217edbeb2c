import type { Entry } from '#core/model/log/entry';
import styles from './LookScreen.module.css';

type Props = {
  readonly entry: Entry;
  readonly onCorrect: () => void;
  readonly onConfirm: () => void;
  readonly onMeasure: () => void;
  readonly onTakeBack: () => void;
  /** Where the part of the recording that shows it can be had; `null` where there is none. */
  readonly clipUrl: string | null;
};

/** What a second look does to the chosen row. */
export function RowActs({ entry, clipUrl, onCorrect, onConfirm, onMeasure, onTakeBack }: Props) {
  const isDoubted = entry.certainty !== undefined && entry.certainty !== 'confirmed';
  return (
    <div className={styles['acts']}>
      {isDoubted && (
        <button type="button" data-act onClick={onConfirm}>
          Confirm
        </button>
      )}
      <button type="button" onClick={onCorrect}>
        Correct
      </button>
      {entry.kind === 'defect' && (
        <button type="button" onClick={onMeasure}>
          Measure
        </button>
      )}
      {clipUrl !== null && (
        <a href={clipUrl} download>
          Clip
        </a>
      )}
      <button type="button" onClick={onTakeBack}>
        Take back
      </button>
    </div>
  );
}
