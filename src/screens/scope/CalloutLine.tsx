import { CornerDownLeft, Delete, Flag } from 'lucide-react';
import {
  type KeyboardEvent,
  lazy,
  type Ref,
  useEffect,
  useImperativeHandle,
  useRef,
  useState,
} from 'react';
import type { Place } from '#client/actions/counter';
import { toldDrafts } from '#client/actions/told';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { canBeLogged } from '#core/model/log/can-be-logged';
import { type EntryDraft } from '#core/model/log/entry';
import type { Understood } from '#core/speech/kept';
import { readLine } from '#core/speech/read-line';
import type { ToldFacts } from '#core/speech/statements/statement';
import { Form } from '../shared/Form';
import { Later } from '../shared/Later';
import { useReady } from '../shared/useReady';
import styles from './CalloutLine.module.css';
import { Chip } from './Chip';
import { Counter, type CounterBy } from './Counter';
import { useLineDraft } from './useLineDraft';
import { type Scope, usePreview } from './useScope';
import { WordButtons } from './WordButtons';

const KeyHelp = lazy(async () => ({ default: (await import('./KeyHelp')).KeyHelp }));

/** What other parts of the screen may do with the line. */
export type CalloutHandle = {
  /** Puts words on it, to be gone on with. */
  readonly begin: (text: string) => void;
};

type Props = {
  readonly ref: Ref<CalloutHandle>;
  readonly scope: Scope;
  /** The state of the log this very moment: what is logged is read by it. */
  readonly scopeNow: () => Scope;
  readonly inspection: Inspection;
  readonly run: Run;
  /** Where the camera is; without a footage where nobody knows. */
  readonly place: Pick<Place, 'pass'> & { readonly counterFt: number | null };
  /** What turns the counter: only a hand's is set here, and keys that would step it move what else does. */
  readonly counterBy: CounterBy;
  readonly onPlace: (change: Partial<Place>) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
  /** What was told of the run, the job or the house. */
  readonly onTold: (facts: ToldFacts) => void;
  readonly onTeach: (says: string, means: string) => void;
  /** Why a word that was taught does not stand in Settings. */
  readonly notTaught: string | null;
  /** Shows the next view of the middle. */
  readonly onView: () => void;
};

const FLAG_KEYS = ['F9', 'MediaPlayPause'];

/** Counter, chip and call-out line: what the inspector says, and what Chert makes of it. */
export function CalloutLine(props: Props) {
  const {
    ref,
    scope,
    scopeNow,
    inspection,
    run,
    place,
    onPlace,
    onAppend,
    onTold,
    notTaught,
    onTeach,
    onView,
  } = props;
  const isGeared = props.counterBy !== 'hand';
  const { counterFt } = place;
  const input = useRef<HTMLInputElement>(null);
  // Kept here, and not in the screen: a key draws the line and its chip, and nothing else.
  const [line, onLine] = useState('');
  const ready = useReady();
  const [last, setLast] = useState('');
  const [asked, setAsked] = useState(false);
  const [help, setHelp] = useState(false);
  const preview = usePreview(line, scope.context, inspection, run);
  const jobId = inspection.job.id;

  useLineDraft(jobId, line, onLine);
  useImperativeHandle(ref, () => ({ begin: onLine }), []);
  useEffect(() => {
    // Focus that somebody has already put elsewhere stays there.
    if (ready && document.activeElement === document.body) input.current?.focus();
  }, [ready]);
  useEffect(() => {
    setAsked(false);
    // A correction begun from a row of the log goes on here.
    if (line.startsWith('correct ')) input.current?.focus();
  }, [line]);

  /** Logs what was understood, and takes along what was told with it. */
  const append = (drafts: readonly EntryDraft[], text: string, { facts }: Understood) => {
    if (Object.keys(facts).length > 0) onTold(facts);
    onAppend(drafts);
    setLast(text);
    onLine('');
    input.current?.focus();
  };
  /** The chip says what is wanted. What cannot be is replaced by what is typed next; all else is typed on. */
  const ask = ({ isRefused }: Understood) => {
    setAsked(true);
    setLast(line);
    if (isRefused) input.current?.select();
  };
  const log = (text: string) => {
    const understood = readLine(text, scopeNow().context);
    if (!understood) return;
    const [likeliest] = understood.choices;
    if (likeliest) {
      // Never guessed: the keys stay on the line, and Enter again takes the first reading.
      if (asked) append(likeliest.drafts, text, understood);
      else ask(understood);
      return;
    }
    const told = toldDrafts(understood, place, text);
    const drafts = [...understood.drafts, ...told];
    if (drafts.length === 0 || !drafts.every(canBeLogged)) {
      ask(understood);
      return;
    }
    append(drafts, text, understood);
  };
  const flag = () => log(`flag ${line}`);
  const step = (byFt: number) =>
    onPlace({ counterFt: Math.max(0, Math.round(((counterFt ?? 0) + byFt) * 10) / 10) });

  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const fine = event.shiftKey ? 0.1 : 1;
    const isEmpty = line.trim() === '';
    const choice = event.altKey ? preview?.understood.choices[Number(event.key) - 1] : undefined;
    if (choice && preview) append(choice.drafts, line, preview.understood);
    else if (isGeared && /^Page(Up|Down)$/.test(event.key)) return;
    else if (event.key === 'PageUp') step(fine);
    else if (event.key === 'PageDown') step(-fine);
    else if (event.key === 'ArrowUp' && isEmpty && last) onLine(last);
    else if (event.key === 'Escape') input.current?.focus();
    else if (FLAG_KEYS.includes(event.key)) flag();
    else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) flag();
    else if (event.altKey && event.key === 'p')
      onPlace({ pass: place.pass === 'out' ? 'back' : 'out' });
    else if (event.altKey && event.key === 'v') onView();
    else if (event.key === '?' && isEmpty) setHelp((now) => !now);
    else return;
    event.preventDefault();
  };

  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- keys work wherever the focus is in the bar
    <section className={styles['bar']} aria-label="Call-out line" onKeyDown={onKeyDown}>
      <Counter
        counterFt={counterFt}
        by={props.counterBy}
        onCounter={(next) => onPlace({ counterFt: next })}
        onStep={step}
      />
      <div className={styles['main']}>
        <Chip
          preview={preview}
          asked={asked}
          counterFt={counterFt}
          onChoose={(drafts) => preview && append(drafts, line, preview.understood)}
          line={line}
          onTeach={(says, means) => {
            onTeach(says, means);
            input.current?.focus();
          }}
        />
        <Form className={styles['line']} onTyped={() => log(line)}>
          <button type="button" className={styles['flag']} onClick={flag}>
            <Flag size={20} aria-hidden="true" /> Flag
          </button>
          <label className="hidden-visually" htmlFor="line">
            Call out what you see
          </label>
          <input
            id="line"
            ref={input}
            disabled={!ready}
            value={line}
            onChange={(event) => onLine(event.target.value)}
            placeholder="Say what you see: roots 2 to 11 60% in the barrel"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            enterKeyHint="done"
            aria-describedby="chip"
          />
          <button
            type="button"
            className={styles['clear']}
            aria-label="Take the last word off the line"
            onClick={() => onLine(line.trimEnd().replace(/\S+$/, ''))}
          >
            <Delete size={20} aria-hidden="true" />
          </button>
          <button className={styles['log']} type="submit">
            Log <CornerDownLeft size={18} aria-hidden="true" />
          </button>
        </Form>
        {notTaught && <p role="alert">{notTaught}</p>}
        {props.counterBy !== 'picture' && <WordButtons onLine={onLine} />}
        {help && (
          <Later>
            <KeyHelp by={props.counterBy} />
          </Later>
        )}
      </div>
    </section>
  );
}
