import { SquarePen, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Finding } from '#core/judge/finding';
import { labelOf } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import { sayEntry } from '#core/model/log/say-entry';
import { Flake } from '#ui/Flake';
import styles from './LogList.module.css';
import panel from './panel.module.css';
import type { Scope } from './useScope';

type Props = {
  readonly scope: Scope;
  readonly run: Run;
  readonly unsent: ReadonlySet<string>;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
  readonly onCorrect: (entry: Entry) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
};

const sayReading = (readingFt: number | null) => (readingFt === null ? '–' : readingFt.toFixed(1));

/** The log of the run, oldest first; what was corrected stays struck through underneath. */
export function LogList({ scope, run, unsent, selected, onSelect, onCorrect, onAppend }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const count = run.entries.length;
  useEffect(() => {
    const element = list.current;
    if (element) element.scrollTop = element.scrollHeight;
  }, [count]);

  const log = scope.axis?.log;
  const findingOf = (id: string) =>
    scope.assessment.findings.find(
      ({ entryIds, runIds }) => entryIds.includes(id) && runIds.includes(run.id),
    );
  const [wanted, setWanted] = useState('');
  const words = wanted.trim().toLowerCase();
  const rows = run.entries.filter(
    (entry) =>
      entry.kind !== 'retract' &&
      log?.fallen.get(entry.id) !== 'replaced' &&
      (words === '' || saysWords(entry, words)),
  );
  const retractOf = (id: string) =>
    run.entries.findLast(
      (entry) => entry.kind === 'retract' && entry.retracts === id && !log?.fallen.has(entry.id),
    );

  return (
    <section className={panel['panel']} aria-labelledby="log-title">
      <h2 id="log-title" className={panel['title']}>
        Log of run {labelOf(run)}
      </h2>
      <input
        className={styles['search']}
        type="search"
        aria-label="Search the log"
        placeholder="Search the log"
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
      />
      {rows.length === 0 && words !== '' ? (
        <p className={styles['empty']}>Nothing in the log says “{wanted.trim()}”.</p>
      ) : rows.length === 0 ? (
        <p className={styles['empty']}>
          What you call out stands here. Say where the pipe begins, for example{' '}
          <kbd>0 cast iron 4 in</kbd>, then what you see as you push on.
        </p>
      ) : (
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- the list scrolls, so it takes focus for the keyboard
        <ol ref={list} className={styles['rows']} tabIndex={0}>
          {rows.map((entry) => (
            <Row
              key={entry.id}
              entry={entry}
              before={corrected(entry, log?.byId)}
              finding={findingOf(entry.id)}
              isUnsent={unsent.has(entry.id)}
              retract={
                log?.fallen.get(entry.id) === 'retracted'
                  ? (retractOf(entry.id) ?? null)
                  : undefined
              }
              selected={selected}
              onSelect={onSelect}
              onCorrect={onCorrect}
              onAppend={onAppend}
            />
          ))}
        </ol>
      )}
    </section>
  );
}

/** Whether an entry, as it is shown, holds the words. */
function saysWords(entry: Entry, words: string): boolean {
  const { title, facts } = sayEntry(entry);
  return [sayReading(entry.readingFt), title, ...facts].join(' ').toLowerCase().includes(words);
}

/** What an entry replaced, the latest first. */
function corrected(entry: Entry, byId: ReadonlyMap<string, Entry> | undefined): Entry[] {
  const before: Entry[] = [];
  let next = entry.replaces === undefined ? undefined : byId?.get(entry.replaces);
  while (next && !before.includes(next)) {
    before.push(next);
    next = next.replaces === undefined ? undefined : byId?.get(next.replaces);
  }
  return before;
}

type RowProps = {
  readonly entry: Entry;
  readonly before: readonly Entry[];
  readonly finding: Finding | undefined;
  readonly isUnsent: boolean;
  /** The retraction, `null` when it is not at hand; absent when the entry stands. */
  readonly retract: Entry | null | undefined;
  readonly selected: number | null;
  readonly onSelect: (findingNumber: number) => void;
  readonly onCorrect: (entry: Entry) => void;
  readonly onAppend: (drafts: readonly EntryDraft[]) => void;
};

function Row({
  entry,
  before,
  finding,
  isUnsent,
  retract,
  selected,
  onSelect,
  onCorrect,
  onAppend,
}: RowProps) {
  const { title, facts } = sayEntry(entry);
  const isRetracted = retract !== undefined;
  const take = (id: string): EntryDraft => ({
    kind: 'retract',
    pass: entry.pass,
    readingFt: entry.readingFt,
    retracts: id,
  });
  return (
    <li
      className={styles['row']}
      data-retracted={isRetracted}
      data-selected={finding !== undefined && finding.number === selected}
    >
      <span className={styles['reading']}>{sayReading(entry.readingFt)}</span>
      <span
        className={styles['pass']}
        title={entry.pass === 'out' ? 'on the way out' : 'on the way back'}
      >
        {entry.pass}
      </span>
      <div className={styles['said']}>
        <p>
          <strong>{title}</strong>
          {facts.length > 0 && <span> · {facts.join(' · ')}</span>}
          {isUnsent && <em className={styles['unsent']}> · to send</em>}
          {isRetracted && <em> · taken back</em>}
        </p>
        {before.map((old) => {
          const said = sayEntry(old);
          return (
            <p key={old.id} className={styles['old']}>
              <s>
                {sayReading(old.readingFt)} {[said.title, ...said.facts].join(' · ')}
              </s>
              <span className="hidden-visually"> (corrected)</span>
            </p>
          );
        })}
      </div>
      {finding && !isRetracted ? (
        <button type="button" className={styles['grade']} onClick={() => onSelect(finding.number)}>
          <Flake severity={finding.severity} number={finding.number} />
          <span>{finding.severity}</span>
        </button>
      ) : (
        <span />
      )}
      <span className={styles['acts']}>
        {isRetracted ? (
          retract && (
            <button type="button" onClick={() => onAppend([take(retract.id)])}>
              Undo
            </button>
          )
        ) : (
          <>
            {entry.readingFt !== null && (
              <button
                type="button"
                title="Correct"
                aria-label={`Correct ${title}`}
                onClick={() => onCorrect(entry)}
              >
                <SquarePen size={19} aria-hidden="true" />
              </button>
            )}
            <button
              type="button"
              title="Take back"
              aria-label={`Take back ${title}`}
              onClick={() => onAppend([take(entry.id)])}
            >
              <Undo2 size={19} aria-hidden="true" />
            </button>
          </>
        )}
      </span>
    </li>
  );
}
