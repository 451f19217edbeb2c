import { nameFinding } from '#core/catalogue/defects/kinds';
import type { EntryDraft } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import type { ToldFacts } from '#core/speech/statements/statement';
import styles from './CalloutLine.module.css';
import { CallThis } from './CallThis';
import { ClockArc } from './ClockArc';
import type { Preview } from './useScope';

type Props = {
  readonly preview: Preview | null;
  /** Enter was pressed on a line that cannot be logged as it is. */
  readonly asked: boolean;
  readonly counterFt: number | null;
  readonly onChoose: (drafts: readonly EntryDraft[]) => void;
  readonly line: string;
  readonly onTeach: (says: string, means: string) => void;
};

const sayReading = (readingFt: number | null) =>
  readingFt === null ? 'no footage' : readingFt.toFixed(1);

/** What was understood, as it will be logged, and what is still missing. */
export function Chip({ preview, asked, counterFt, onChoose, line, onTeach }: Props) {
  if (!preview) {
    return (
      <div id="chip" className={styles['chip']}>
        <span>
          {counterFt === null
            ? 'Say the footage with it: nobody knows it here.'
            : `Logs at ${counterFt.toFixed(1)} ft unless you say another footage.`}{' '}
          <b>?</b> lists the keys.
        </span>
      </div>
    );
  }
  const { understood, finding } = preview;
  const { choices, drafts, missing } = understood;
  if (choices.length > 0) return <Choices preview={preview} asked={asked} onChoose={onChoose} />;
  const draft = drafts[0];
  const clock = draft?.kind === 'defect' ? draft : null;
  const parts = drafts.map((one) => {
    const { title, facts } = sayEntry(one);
    return [title, sayReading(one.readingFt), ...facts].join(' · ');
  });
  const told = sayTold(understood.facts);
  const graded = finding ? `${nameFinding(finding.kind)}, ${finding.severity}` : null;
  return (
    <div
      id="chip"
      className={styles['chip']}
      data-state={understood.kept === null ? 'understood' : 'kept'}
      data-severity={finding?.severity}
      aria-live="polite"
    >
      {clock?.clockFrom !== undefined && (
        <ClockArc from={clock.clockFrom} to={clock.clockTo ?? clock.clockFrom} />
      )}
      <span>
        {understood.kept && <b>Kept as a {understood.kept}, in your words: </b>}
        {graded && <b className={styles['graded']}>{graded}</b>}
        {graded && parts[0]
          ? ` · ${parts[0].split(' · ').slice(1).join(' · ')}`
          : parts.join(' + ')}
        {told !== '' && <b>{told}</b>}
        {understood.kept && <CallThis line={line} onTeach={onTeach} />}
        {draft?.replaces !== undefined && <i> · replaces what was there</i>}
        {missing.length > 0 && (
          <span className={styles['missing']} data-asked={asked}>
            {' '}
            {parts.length > 0 ? '· still wanted: ' : 'Wanted: '}
            {missing.join(', ')}
          </span>
        )}
        {understood.rest !== '' && understood.kept === null && (
          <span className={styles['rest']}> · kept as words: {understood.rest}</span>
        )}
      </span>
    </div>
  );
}

const CLEANED: Readonly<Record<string, string>> = {
  cut: 'the roots were cut before',
  jetted: 'it was jetted before',
  unknown: 'it was cleaned before',
};

/** What goes into the run or the house, and is no line of the log. */
function sayTold({ run, property }: ToldFacts): string {
  const said = [
    run?.cleanedBefore !== undefined && CLEANED[run.cleanedBefore],
    run?.zero !== undefined && 'where the counter was zeroed',
    run?.waterAtStart === 'none' && 'no water was running at the start',
    property?.yearBuilt !== undefined && `built in ${property.yearBuilt}`,
    property?.occupancy === 'vacant' && 'the house is vacant',
    property?.history !== undefined && 'into the history of the line',
  ].filter((one) => typeof one === 'string');
  return said.length === 0 ? '' : `Told: ${said.join('; ')}`;
}

const sayWanted = (missing: readonly string[]) => `Wanted: ${missing.join('; ')}. Or:`;

/** A number that fits two meanings: each reading is a button, and a key. */
function Choices({
  preview,
  asked,
  onChoose,
}: Pick<Props, 'asked' | 'onChoose'> & { readonly preview: Preview }) {
  const { choices, missing, drafts } = preview.understood;
  const question = drafts.length === 0 && missing.length > 0 ? sayWanted(missing) : 'Which is it?';
  return (
    <div
      id="chip"
      className={styles['chip']}
      data-state="asks"
      role="group"
      aria-label="Which is it?"
    >
      <b>{question}</b>
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
            <kbd>{asked && index === 0 ? 'Enter' : `Alt ${index + 1}`}</kbd> {title} <b>{label}</b>
          </button>
        );
      })}
    </div>
  );
}
