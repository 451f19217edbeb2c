import { ArrowDown, ArrowUp } from 'lucide-react';
import type { Picture } from '#core/report/block';
import styles from './Report.module.css';

type Props = {
  readonly all: readonly Picture[];
  readonly chosen: readonly Picture[];
  readonly isOwn: boolean;
  readonly stillUrl: (id: string) => string;
  /** `null` goes back to all of them. */
  readonly onChoose: (photoIds: readonly string[] | null) => void;
};

/** Which stills the report shows, and in which order. */
export function StillsPanel({ all, chosen, isOwn, stillUrl, onChoose }: Props) {
  if (all.length === 0)
    return (
      <p className={styles['hint']}>
        Stills that are taken on Scope come here, with captions from the log.
      </p>
    );
  const ids = chosen.map(({ photoId }) => photoId);
  const rest = all.filter(({ photoId }) => !ids.includes(photoId));
  const swap = (at: number, by: number) => {
    const next = [...ids];
    [next[at], next[at + by]] = [next[at + by]!, next[at]!];
    onChoose(next);
  };
  return (
    <ul className={styles['stills']}>
      {[...chosen, ...rest].map(({ photoId, caption }, index) => {
        const isIn = index < ids.length;
        return (
          <li key={photoId}>
            <img src={stillUrl(photoId)} alt="" loading="lazy" />
            <label className={styles['tick']}>
              <input
                type="checkbox"
                checked={isIn}
                onChange={() =>
                  onChoose(isIn ? ids.filter((id) => id !== photoId) : [...ids, photoId])
                }
              />{' '}
              {caption}
            </label>
            {isIn && (
              <span className={styles['buttons']}>
                <button
                  type="button"
                  aria-label={`Up: ${caption}`}
                  disabled={index === 0}
                  onClick={() => swap(index, -1)}
                >
                  <ArrowUp size={16} aria-hidden="true" />
                </button>
                <button
                  type="button"
                  aria-label={`Down: ${caption}`}
                  disabled={index === ids.length - 1}
                  onClick={() => swap(index, 1)}
                >
                  <ArrowDown size={16} aria-hidden="true" />
                </button>
              </span>
            )}
          </li>
        );
      })}
      {isOwn && (
        <li>
          <button type="button" onClick={() => onChoose(null)}>
            All of them, in order
          </button>
        </li>
      )}
    </ul>
  );
}
