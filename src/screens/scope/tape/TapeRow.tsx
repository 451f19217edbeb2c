import { ImagePlus, Mic, SquarePen, Undo2 } from 'lucide-react';
import { memo, useEffect, useRef } from 'react';
import type { Severity } from '#core/catalogue/severity/grade';
import type { Entry } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import { Flake } from '#ui/Flake';
import styles from './Tape.module.css';

export type RowActs = {
  readonly choose: (entry: Entry | null) => void;
  readonly correct: (entry: Entry) => void;
  readonly takeBack: (entry: Entry) => void;
  readonly addStill: (entry: Entry) => void;
};

type Props = {
  readonly entry: Entry;
  readonly footPx: number;
  readonly rowPx: number;
  /** The grade and number of its finding, where it is part of one. */
  readonly severity: Severity | undefined;
  readonly number: number | undefined;
  readonly hasPast: boolean;
  readonly isUnsent: boolean;
  readonly isChosen: boolean;
  readonly acts: RowActs;
};

/** From the edge of the tape to the words, pixels. */
const LEADER_PX = 26;

/** One thing on the tape; chosen, it shows what can be done with it. */
export const TapeRow = memo(function TapeRow(props: Props) {
  const { entry, footPx, rowPx, severity, number, hasPast, isUnsent, isChosen, acts } = props;
  const { title, facts } = sayEntry(entry);
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Positions are computed: the page's policy allows no style in its markup.
    row.current?.style.setProperty('top', `${rowPx}px`);
  }, [rowPx]);
  return (
    <li
      ref={row}
      className={styles['row']}
      data-chosen={isChosen}
      data-flag={entry.kind === 'flag'}
    >
      <svg
        className={styles['leader']}
        width={LEADER_PX}
        height={2}
        overflow="visible"
        aria-hidden="true"
      >
        <polyline points={`0,${footPx - rowPx} ${LEADER_PX - 8},1 ${LEADER_PX},1`} />
      </svg>
      {severity && number !== undefined ? (
        <Flake severity={severity} number={number} />
      ) : (
        <span className={styles['dot']} aria-hidden="true" />
      )}
      <button
        type="button"
        className={styles['said']}
        aria-expanded={isChosen}
        onClick={() => acts.choose(isChosen ? null : entry)}
      >
        <strong>{title}</strong>
        <span>
          <b>{entry.readingFt!.toFixed(1)}</b>
          {severity && ` · ${severity}`}
          {facts.map((fact) => ` · ${fact}`)}
          {entry.pass === 'back' && ' · back'}
          {hasPast && ' · corrected'}
          {entry.photoIds?.length ? ` · ${entry.photoIds.length} still` : ''}
          {entry.audioId && (
            <>
              {' · '}
              <Mic size={13} aria-label="with voice" />
            </>
          )}
          {isUnsent && <em> · to send</em>}
        </span>
      </button>
      {isChosen && (
        <span className={styles['acts']}>
          <button
            type="button"
            aria-label={`Correct ${title}`}
            title="Correct"
            onClick={() => acts.correct(entry)}
          >
            <SquarePen size={20} aria-hidden="true" />
          </button>
          <button
            type="button"
            aria-label={`Add a still to ${title}`}
            title="Add a still"
            onClick={() => acts.addStill(entry)}
          >
            <ImagePlus size={20} aria-hidden="true" />
          </button>
          <button
            type="button"
            aria-label={`Take back ${title}`}
            title="Take back"
            onClick={() => acts.takeBack(entry)}
          >
            <Undo2 size={20} aria-hidden="true" />
          </button>
        </span>
      )}
    </li>
  );
});
