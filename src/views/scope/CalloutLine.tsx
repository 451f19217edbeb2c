import { CornerDownLeft, Minus, Plus } from 'lucide-react';
import { type FormEvent, type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { parseCallout } from '#core/callout/parse';
import type { Inspection } from '#core/job/inspection';
import type { Run } from '#core/job/run';
import { checkEntry, type EntryDraft } from '#core/log/entry';
import { useReady } from '../shared/useReady';
import styles from './CalloutLine.module.css';
import { Chip } from './Chip';
import { type Scope, usePreview } from './useScope';
import { QUALITIES, THINGS, type WordButton } from './words';

type Props = {
  readonly line: string;
  readonly onLine: (line: string) => void;
  readonly scope: Scope;
  readonly inspection: Inspection;
  readonly run: Run;
  readonly counterFt: number;
  readonly onCounter: (counterFt: number) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
};

const lineKey = (jobId: string) => `chert:line:${jobId}`;

/** Whether the log would take a draft: a locate without its depth has to wait for it. */
function canBeLogged(draft: EntryDraft): boolean {
  return checkEntry({ id: 'draft', at: new Date().toISOString(), ...draft }).ok;
}

/** Counter, chip and call-out line: what the inspector says, and what Chert makes of it. */
export function CalloutLine(props: Props) {
  const { line, onLine, scope, inspection, run, counterFt, onCounter, onAppend } = props;
  const input = useRef<HTMLInputElement>(null);
  const ready = useReady();
  const [last, setLast] = useState('');
  const [asked, setAsked] = useState(false);
  const [help, setHelp] = useState(false);
  const preview = usePreview(line, scope, inspection, run);
  const jobId = inspection.job.id;

  useEffect(() => {
    // A line typed before the page was left or lost comes back.
    const kept = window.localStorage.getItem(lineKey(jobId));
    if (kept) onLine(kept);
  }, [jobId, onLine]);
  useEffect(() => {
    // Focus that somebody has already put elsewhere stays there.
    if (ready && document.activeElement === document.body) input.current?.focus();
  }, [ready]);
  useEffect(() => {
    window.localStorage.setItem(lineKey(jobId), line);
    setAsked(false);
    // A correction begun from a row of the log goes on here.
    if (line.startsWith('correct ')) input.current?.focus();
  }, [jobId, line]);

  const log = (text: string) => {
    const understood = parseCallout(text, scope.context);
    if (!understood || understood.drafts.length === 0 || !understood.drafts.every(canBeLogged)) {
      // The chip says what is wanted; what was typed stays on the line.
      setAsked(true);
      return;
    }
    onAppend(understood.drafts);
    setLast(text);
    onLine('');
    input.current?.focus();
  };
  const say = ({ says, logs }: WordButton) => {
    if (logs && line.trim() === '') return log(says);
    onLine(line.trim() === '' ? `${says} ` : `${line.trimEnd()} ${says} `);
    input.current?.focus();
  };
  const step = (byFt: number) => onCounter(Math.max(0, Math.round((counterFt + byFt) * 10) / 10));
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const fine = event.shiftKey ? 0.1 : 1;
    const isEmpty = line.trim() === '';
    if (event.key === 'PageUp') step(fine);
    else if (event.key === 'PageDown') step(-fine);
    else if (event.key === 'ArrowUp' && isEmpty && last) onLine(last);
    else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) log(`flag ${line}`);
    else if (event.key === '?' && isEmpty) setHelp((now) => !now);
    else return;
    event.preventDefault();
  };
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    log(line);
  };

  return (
    <section className={styles['bar']} aria-label="Call-out line">
      <div className={styles['counter']}>
        <label htmlFor="counter">Counter, ft</label>
        <div>
          <button type="button" aria-label="Counter down one foot" onClick={() => step(-1)}>
            <Minus size={20} aria-hidden="true" />
          </button>
          <CounterInput counterFt={counterFt} onCounter={onCounter} />
          <button type="button" aria-label="Counter up one foot" onClick={() => step(1)}>
            <Plus size={20} aria-hidden="true" />
          </button>
        </div>
      </div>
      <div className={styles['main']}>
        <Chip preview={preview} asked={asked} counterFt={counterFt} />
        <form className={styles['line']} onSubmit={onSubmit}>
          <label className="hidden-visually" htmlFor="line">
            Call out what you see
          </label>
          <input
            id="line"
            ref={input}
            disabled={!ready}
            value={line}
            onChange={(event) => onLine(event.target.value)}
            onKeyDown={onKeyDown}
            placeholder="Say what you see: roots 2 to 11 60% in the barrel"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            enterKeyHint="done"
            aria-describedby="chip"
          />
          <button className={styles['log']} type="submit">
            Log <CornerDownLeft size={18} aria-hidden="true" />
          </button>
        </form>
        <div className={styles['words']}>
          {(line.trim() === '' ? THINGS : [...QUALITIES, ...THINGS]).map((button) => (
            <button key={button.label} type="button" onClick={() => say(button)}>
              {button.label}
            </button>
          ))}
        </div>
        {help && (
          <p className={styles['help']}>
            <b>Enter</b> logs · <b>Ctrl Enter</b> flags · <b>Page up, page down</b> move the counter
            a foot, with <b>Shift</b> a tenth · <b>Arrow up</b> brings the last line back ·{' '}
            <b>correct 31 clay</b> corrects · <b>retract 31</b> takes back · <b>?</b> closes this
          </p>
        )}
      </div>
    </section>
  );
}

/** The counter as it can be typed; half-typed text is kept until it is a number. */
function CounterInput({ counterFt, onCounter }: Pick<Props, 'counterFt' | 'onCounter'>) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const value = Number(typed);
    if (typed !== null && typed.trim() !== '' && Number.isFinite(value) && value >= 0)
      onCounter(value);
    setTyped(null);
  };
  return (
    <input
      id="counter"
      inputMode="decimal"
      value={typed ?? counterFt.toFixed(1)}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        commit();
        document.getElementById('line')?.focus();
      }}
    />
  );
}
