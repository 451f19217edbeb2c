import { nameDefect, sayEntry } from '#core/log/say-entry';
import { ClockArc } from './ClockArc';
import styles from './CalloutLine.module.css';
import type { Preview } from './useScope';

type Props = {
  readonly preview: Preview | null;
  /** Enter was pressed on a line that cannot be logged. */
  readonly asked: boolean;
  readonly counterFt: number;
};

/** What was understood, as it will be logged, and what is still missing. */
export function Chip({ preview, asked, counterFt }: Props) {
  if (!preview) {
    return (
      <p id="chip" className={styles['chip']} aria-live="polite">
        <span>
          Logs at {counterFt.toFixed(1)} ft unless you say another footage. <b>?</b> lists the keys.
        </span>
      </p>
    );
  }
  const { understood, finding } = preview;
  const draft = understood.drafts[0];
  const clock = draft?.kind === 'defect' ? draft : null;
  const parts = understood.drafts.map((one) => {
    const { title, facts } = sayEntry(one);
    const reading = one.readingFt === null ? 'no footage' : one.readingFt.toFixed(1);
    return [title, reading, ...facts].join(' · ');
  });
  const graded = finding ? `${nameDefect(finding.kind)}, ${finding.severity}` : null;
  return (
    <p
      id="chip"
      className={styles['chip']}
      data-state={understood.understood ? 'understood' : 'kept'}
      data-severity={finding?.severity}
      aria-live="polite"
    >
      {clock?.clockFrom !== undefined && (
        <ClockArc from={clock.clockFrom} to={clock.clockTo ?? clock.clockFrom} />
      )}
      <span>
        {!understood.understood && <b>Kept as a flag: </b>}
        {graded && <b className={styles['graded']}>{graded}</b>}
        {graded && parts[0]
          ? ` · ${parts[0].split(' · ').slice(1).join(' · ')}`
          : parts.join(' + ')}
        {draft?.replaces !== undefined && <i> · replaces what was there</i>}
        {understood.missing.length > 0 && (
          <span className={styles['missing']} data-asked={asked}>
            {' '}
            · still wanted: {understood.missing.join(', ')}
          </span>
        )}
      </span>
    </p>
  );
}
