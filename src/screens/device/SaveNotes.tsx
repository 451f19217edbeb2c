import { useEffect, useId, useState } from 'react';
import type { Change, Kept } from '#client/change';
import { putAside, wasTold } from '#client/store';
import type { Overwritten } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { sayField, sayValue } from '#core/model/job/say-edit';
import { sayEntry } from '#core/model/log/say-entry';
import { download } from '../shared/download';
import styles from './SaveMark.module.css';

/** A change as people name it. */
function nameChange(inspection: Inspection, change: Change): string {
  if (change.what === 'entry') return sayEntry(change.entry).title;
  if (change.what === 'media') return 'The still';
  const [first, ...rest] = change.edits.map(({ path }) => sayField(inspection, path));
  return rest.length === 0 ? first! : `${first} and ${rest.length} more`;
}

/** The part of a change that can be mended by hand. */
function bodyOf(change: Change): unknown {
  if (change.what === 'entry') return change.entry;
  return change.what === 'edits' ? change.edits : null;
}

function mendedOf(change: Change, text: string): Change | null {
  try {
    const body = JSON.parse(text) as never;
    return change.what === 'entry' ? { ...change, entry: body } : { what: 'edits', edits: body };
  } catch {
    return null;
  }
}

type RefusedProps = {
  readonly kept: Kept;
  readonly inspection: Inspection;
  readonly onSettle: (kept: Kept, change: Change | null) => void;
};

/** What the server refused, with why: it can be read, mended, sent again, or taken out. */
export function RefusedNote({ kept, inspection, onSettle }: RefusedProps) {
  const id = useId();
  const body = bodyOf(kept.change);
  const [text, setText] = useState(() => JSON.stringify(body, null, 2));
  const [isBad, setBad] = useState(false);
  const send = () => {
    const mended = body === null ? kept.change : mendedOf(kept.change, text);
    setBad(mended === null);
    if (mended) onSettle(kept, mended);
  };
  return (
    <div role="alert" className={styles['note']}>
      <p>
        {nameChange(inspection, kept.change)} was not stored: {kept.refused}
      </p>
      {body !== null && (
        <details>
          <summary>Read and correct it</summary>
          <label htmlFor={id}>What is sent</label>
          <textarea
            id={id}
            rows={6}
            value={text}
            spellCheck={false}
            onChange={(event) => setText(event.target.value)}
          />
          {isBad && <p>Expected JSON. Check commas, quotes and brackets.</p>}
        </details>
      )}
      <button type="button" onClick={send}>
        Send it again
      </button>
      <button type="button" onClick={() => onSettle(kept, null)}>
        Take it out
      </button>
    </div>
  );
}

type ElsewhereProps = {
  readonly inspection: Inspection;
  readonly foreign: readonly Kept[];
  readonly isElsewhere: boolean;
  readonly onTakeOver: () => void;
};

/** Another Chert answers at this address: what waits for the other one stays, and is not sent by itself. */
export function ElsewhereNote({ inspection, foreign, isElsewhere, onTakeOver }: ElsewhereProps) {
  if (isElsewhere)
    return (
      <p role="alert">
        Another Chert answers at this address: it was started with another data folder. Nothing is
        sent to it; what you do is kept on this device. Start the right one, or load the page again.
      </p>
    );
  if (foreign.length === 0) return null;
  const count = foreign.length === 1 ? 'One thing is' : `${foreign.length} things are`;
  const { title } = inspection.job;
  return (
    <div role="alert" className={styles['note']}>
      <p>
        {count} kept on this device for another Chert that was at this address, and not sent to this
        one.
      </p>
      <button
        type="button"
        onClick={() =>
          download(`${title}-kept.json`, JSON.stringify(foreign, null, 2), 'application/json')
        }
      >
        Save as a file
      </button>
      <button type="button" onClick={onTakeOver}>
        Send to this one
      </button>
    </div>
  );
}

/** How many are told at once. */
const MOST_TOLD = 3;
const keyOf = ({ seq, at }: Overwritten) => `${seq} ${at}`;

/** What two devices set without seeing each other: the later stands, and both are told until put aside. */
export function OverwrittenNotes(props: {
  readonly told: readonly Overwritten[];
  readonly inspection: Inspection;
}) {
  const { told, inspection } = props;
  const [open, setOpen] = useState<readonly Overwritten[]>([]);
  useEffect(() => {
    let isOver = false;
    const latest = told.slice(0, 20);
    void Promise.all(latest.map((one) => wasTold(keyOf(one)).catch(() => false))).then((known) => {
      if (!isOver) setOpen(latest.filter((_, index) => !known[index]));
    });
    return () => {
      isOver = true;
    };
  }, [told]);
  const close = (one: Overwritten) => {
    setOpen((now) => now.filter((other) => other !== one));
    putAside(keyOf(one)).catch(() => undefined);
  };
  return open.slice(0, MOST_TOLD).map((one) => (
    <div key={one.seq} role="status" className={styles['note']}>
      <p>
        Two devices set “{sayField(inspection, one.path)}” without seeing each other.{' '}
        <b>{sayValue(one.value)}</b> came later and stands; the other was{' '}
        <b>{sayValue(one.over.value)}</b>.
      </p>
      <button type="button" onClick={() => close(one)}>
        I have seen it
      </button>
    </div>
  ));
}
