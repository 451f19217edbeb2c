import { type KeyboardEvent, useRef, useState } from 'react';
import type { Line, Narration, Settled } from '#client/actions/narration';
import { sayEntry } from '#core/model/log/say-entry';
import { sayClock } from '#core/recording/say-moment';
import type { Heard } from '#core/speech/hear/heard';
import { Form } from '../shared/Form';
import parts from '../shared/parts.module.css';
import styles from './NarrationPanel.module.css';
import { TakeText } from './TakeText';

type Props = {
  readonly narration: Narration | null;
  readonly heard: Heard | null;
  readonly lines: readonly Line[];
  /** What stands in the way of logging what was accepted, or how far that is; `null` for nothing. */
  readonly progress: string | null;
  readonly onText: (name: string, text: string) => void;
  readonly onPart: (part: number) => void;
  readonly onSettle: (id: string, settled: Settled) => void;
  readonly onGo: (line: Line) => void;
  readonly onLog: () => void;
  readonly onRemove: () => void;
  /** Brings back the one that was removed last; `null` where none was. */
  readonly onBringBack: (() => void) | null;
};

const sayDrafts = ({ drafts }: Line) =>
  drafts.map((draft) => {
    const { title, facts } = sayEntry({ ...draft, id: '', at: '' });
    const feet = draft.readingFt === null ? 'no footage' : `${draft.readingFt.toFixed(1)} ft`;
    return `${feet}, ${draft.pass} · ${[title, ...facts].join(' · ')}`;
  });

type RowProps = {
  readonly line: Line;
  readonly isHere: boolean;
  readonly onSettle: Props['onSettle'];
  readonly onGo: Props['onGo'];
  readonly onMove: (by: 1 | -1) => void;
  /** Takes the keys to this row. */
  readonly onHere: () => void;
};

/** A draft beside its sentence. Enter accepts, Delete drops, E puts it in other words. */
function DraftRow({ line, isHere, onSettle, onGo, onMove, onHere }: RowProps) {
  const [isMending, setMending] = useState(false);
  const settle = (settled: Settled) => onSettle(line.id, settled);
  const onKeyDown = (event: KeyboardEvent) => {
    if (isMending || event.altKey || event.ctrlKey || event.metaKey) return;
    const act = {
      Enter: () => {
        settle({ verdict: 'accepted' });
        onMove(1);
      },
      Delete: () => {
        settle({ verdict: 'dropped' });
        onMove(1);
      },
      Backspace: () => {
        settle({ verdict: 'dropped' });
        onMove(1);
      },
      e: () => setMending(true),
      g: () => onGo(line),
      ArrowDown: () => onMove(1),
      ArrowUp: () => onMove(-1),
    }[event.key];
    if (!act) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  return (
    <li
      className={styles['line']}
      data-verdict={line.verdict ?? 'open'}
      data-unsure={line.unsure !== null}
    >
      <button
        type="button"
        className={styles['draft']}
        data-draft={line.id}
        tabIndex={isHere ? 0 : -1}
        aria-describedby={`said-${line.id}`}
        onKeyDown={onKeyDown}
        onClick={() => {
          onHere();
          onGo(line);
        }}
      >
        {line.verdict && <b className={styles['verdict']}>{line.verdict}</b>}
        {sayDrafts(line).map((text) => (
          <span key={text} className={styles['text']}>
            {text}
          </span>
        ))}
        {line.unsure !== null && line.verdict === null && (
          <em className={styles['unsure']}>{line.unsure}</em>
        )}
      </button>
      <p id={`said-${line.id}`} className={styles['said']}>
        {line.fromMs !== null && <span data-reading="true">{sayClock(line.fromMs)} </span>}“
        {line.says}”
      </p>
      {isMending ? (
        <Form
          className={styles['mend']}
          onTyped={({ text }) => {
            setMending(false);
            const says = text('says');
            if (says !== '') settle({ says });
          }}
        >
          <input
            name="says"
            aria-label="Say it as you would on the call-out line"
            defaultValue={line.says}
            // eslint-disable-next-line jsx-a11y/no-autofocus -- a key was pressed to type here
            autoFocus
            onKeyDown={(event) => {
              event.stopPropagation();
              if (event.key === 'Escape') setMending(false);
            }}
          />
          <button type="submit">Read again</button>
        </Form>
      ) : (
        isHere && (
          <div className={styles['acts']}>
            <button type="button" onClick={() => settle({ verdict: 'accepted' })}>
              Accept
            </button>
            <button type="button" onClick={() => setMending(true)}>
              Edit
            </button>
            <button type="button" onClick={() => settle({ verdict: 'dropped' })}>
              Drop
            </button>
          </div>
        )
      )}
    </li>
  );
}

/** What was said, beside the draft that was made of it. */
export function NarrationPanel(props: Props) {
  const { narration, heard, lines, progress, onText, onPart, onSettle, onGo, onLog } = props;
  const list = useRef<HTMLOListElement>(null);
  const [hereId, setHereId] = useState<string | null>(null);
  if (!narration || !heard) return <TakeText onText={onText} onBringBack={props.onBringBack} />;
  const here = Math.max(
    0,
    lines.findIndex(({ id }) => id === hereId),
  );
  const move = (from: number) => (by: 1 | -1) => {
    const next = lines[Math.min(lines.length - 1, Math.max(0, from + by))];
    if (!next) return;
    setHereId(next.id);
    onGo(next);
    list.current?.querySelector<HTMLElement>(`[data-draft="${CSS.escape(next.id)}"]`)?.focus();
  };
  const accepted = lines.filter(({ verdict }) => verdict === 'accepted').length;
  const open = lines.filter(({ verdict }) => verdict === null).length;
  return (
    <div className={styles['panel']}>
      <p className={styles['head']}>
        <b>{narration.name}</b> · {open} to look at, {accepted} accepted. <kbd>Enter</kbd> accepts,{' '}
        <kbd>Delete</kbd> drops, <kbd>E</kbd> edits, <kbd>↑ ↓</kbd> move.
      </p>
      {heard.runs.length > 1 && (
        <label className={styles['part']}>
          This run is the push
          <select value={narration.part} onChange={(event) => onPart(Number(event.target.value))}>
            {heard.runs.map(({ accessWords, entries }, index) => (
              <option key={index} value={index}>
                {accessWords || 'that was told first'} ({entries.length} things)
              </option>
            ))}
          </select>
        </label>
      )}
      <ol ref={list} className={styles['lines']}>
        {lines.map((line, index) => (
          <DraftRow
            key={line.id}
            line={line}
            isHere={index === here}
            onSettle={onSettle}
            onGo={onGo}
            onMove={move(index)}
            onHere={() => setHereId(line.id)}
          />
        ))}
      </ol>
      {heard.differences.length > 0 && (
        <details className={styles['more']}>
          <summary>
            The wrap-up says{' '}
            {heard.differences.length === 1 ? 'one thing' : `${heard.differences.length} things`}{' '}
            otherwise
          </summary>
          <ul>
            {heard.differences.map(({ says, logged }) => (
              <li key={says}>
                “{says}” {logged === null ? 'is nowhere in the draft' : `– the draft has ${logged}`}
              </li>
            ))}
          </ul>
        </details>
      )}
      {heard.unread.length > 0 && (
        <details className={styles['more']}>
          <summary>{heard.unread.length} sentences of which nothing was made</summary>
          <ul>
            {heard.unread.map(({ text, fromMs }, index) => (
              <li key={index}>
                {fromMs !== null && `${sayClock(fromMs)} `}“{text}”
              </li>
            ))}
          </ul>
        </details>
      )}
      <div className={parts['row']}>
        <button
          type="button"
          data-act
          disabled={accepted === 0 || progress !== null}
          onClick={onLog}
        >
          Log {accepted === 0 ? 'what is accepted' : `the ${accepted} accepted`}
        </button>
        <button type="button" onClick={props.onRemove}>
          Remove
        </button>
        {progress !== null && <span role="status">{progress}</span>}
      </div>
    </div>
  );
}
