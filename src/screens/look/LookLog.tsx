import { useEffect, useRef } from 'react';
import type { Row } from '#client/actions/look-rows';
import type { Entry } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import { sayClock } from '#core/recording/say-moment';
import styles from './LookLog.module.css';

type Props = {
  readonly rows: readonly Row[];
  /** The row that the picture is at. */
  readonly hereId: string | null;
  readonly chosenId: string | null;
  readonly onChoose: (row: Row) => void;
};

const sayPlace = ({ readingFt, pass }: Entry) =>
  readingFt === null ? '–' : `${readingFt.toFixed(1)}${pass === 'back' ? ' ←' : ''}`;

/** The log beside its time line: each row with the moment that shows it. A press goes there. */
export function LookLog({ rows, hereId, chosenId, onChoose }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const shownId = chosenId ?? hereId;
  useEffect(() => {
    list.current
      ?.querySelector('[data-shown="true"]')
      ?.scrollIntoView({ block: 'nearest', behavior: 'instant' });
  }, [shownId]);
  if (rows.length === 0)
    return (
      <p className={styles['empty']}>
        Nothing is logged in this run yet. Say what you see on the line below: it takes its footage
        from the picture.
      </p>
    );
  return (
    <ol ref={list} className={styles['rows']}>
      {rows.map((row) => {
        const { entry, chapter, open } = row;
        const { title, facts } = sayEntry(entry);
        return (
          <li
            key={entry.id}
            className={styles['row']}
            data-here={entry.id === hereId}
            data-shown={entry.id === shownId}
          >
            <button
              type="button"
              aria-pressed={entry.id === chosenId}
              onClick={() => onChoose(row)}
            >
              <span className={styles['moment']}>{chapter ? sayClock(chapter.atMs) : '–:––'}</span>
              <span className={styles['feet']}>{sayPlace(entry)}</span>
              <span className={styles['said']}>
                <b>{title}</b>
                {facts.length > 0 && ` · ${facts.join(' · ')}`}
                {entry.secondLook && (
                  <span className={styles['second']}>
                    {' · '}
                    {entry.secondLook.heard
                      ? 'from the narration'
                      : `second look, ${entry.secondLook.by}`}
                  </span>
                )}
                {open !== null && <em className={styles['open']}>{open}</em>}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
