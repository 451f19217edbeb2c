import { nameFinding } from '#core/catalogue/defects/kinds';
import type { EntryDraft } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import styles from './CalloutLine.module.css';
import { ClockArc } from './ClockArc';
import type { Preview } from './useScope';

type Props = {
  readonly preview: Preview | null;
  /** Enter was pressed on a line that cannot be logged as it is. */
  readonly asked: boolean;
  readonly counterFt: number;
  readonly onChoose: (drafts: readonly EntryDraft[]) => void;
};

const sayReading = (readingFt: number | null) =>
  readingFt === null ? 'no footage' : readingFt.toFixed(1);

/** What was understood, as it will be logged, and what is still missing. */
export function Chip({ preview, asked, counterFt, onChoose }: Props) {
  if (!preview) {
    return (
      <div id="chip" className={styles['chip']}>
        <span>
          Logs at {counterFt.toFixed(1)} ft unless you say another footage. <b>?</b> lists the keys.
        </span>
      </div>
    );
  }
  const { understood, finding } = preview;
  const { choices, drafts, missing } = understood;
  if (choices.length > 0) return <Choices preview={preview} onChoose={onChoose} />;
  const draft = drafts[0];
  const clock = draft?.kind === 'defect' ? draft : null;
  const parts = drafts.map((one) => {
    const { title, facts } = sayEntry(one);
    return [title, sayReading(one.readingFt), ...facts].join(' · ');
  });
  const graded = finding ? `${nameFinding(finding.kind)}, ${finding.severity}` : null;
  return (
    <div
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
        {!understood.understood && <b>Kept as a flag with your words: </b>}
        {graded && <b className={styles['graded']}>{graded}</b>}
        {graded && parts[0]
          ? ` · ${parts[0].split(' · ').slice(1).join(' · ')}`
          : parts.join(' + ')}
        {draft?.replaces !== undefined && <i> · replaces what was there</i>}
        {missing.length > 0 && (
          <span className={styles['missing']} data-asked={asked}>
            {' '}
            · still wanted: {missing.join(', ')}
          </span>
        )}
      </span>
    </div>
  );
}

/** A number that fits two meanings: each reading is a button, and a key. */
function Choices({ preview, onChoose }: Pick<Props, 'onChoose'> & { readonly preview: Preview }) {
  const { choices } = preview.understood;
  return (
    <div
      id="chip"
      className={styles['chip']}
      data-state="asks"
      role="group"
      aria-label="Which is it?"
    >
      <b>Which is it?</b>
      {choices.map(({ label, drafts }, index) => {
        const [draft] = drafts;
        const { title } = sayEntry(draft!);
        return (
          <button
            key={label}
            type="button"
            data-choice={index}
            className={styles['choice']}
            onClick={() => onChoose(drafts)}
          >
            <kbd>Alt {index + 1}</kbd> {title} <b>{label}</b>
          </button>
        );
      })}
    </div>
  );
}
