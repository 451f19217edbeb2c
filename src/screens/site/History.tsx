import { useState } from 'react';
import { getJson, sayNotDone } from '#client/api';
import type { Happened } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { labelOf } from '#core/model/job/labels';
import { sayField, sayValue } from '#core/model/job/say-edit';
import form from '../shared/form.module.css';
import styles from './History.module.css';

/** "Nov 3, 9:14 am" in the reader's own time. */
const sayAt = (at: string) =>
  new Date(at)
    .toLocaleString('en-US', { day: 'numeric', month: 'short', hour: 'numeric', minute: '2-digit' })
    .replace(/[AP]M$/, (half) => half.toLowerCase());

/** What happened to the job, by whom: old values stay readable. Read from the server when it is asked for. */
export function History({ inspection }: { readonly inspection: Inspection }) {
  const [happened, setHappened] = useState<readonly Happened[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = async () => {
    const path = `/api/jobs/${encodeURIComponent(inspection.job.id)}/history`;
    const sent = await getJson<{ happened: readonly Happened[] }>(path);
    setTrouble(sent.state === 'ok' ? null : sayNotDone(sent));
    if (sent.state === 'ok') setHappened(sent.value.happened);
  };
  const devices = [
    ...new Set((happened ?? []).flatMap((one) => (one.kind === 'edit' ? [one.device] : []))),
  ].reverse();
  /** Who did it: by name where Chert has people, else the device by its number. */
  const nameOf = (one: Happened) => {
    if (one.kind === 'edit' && one.device === 'server') return 'Chert';
    if (one.person !== undefined)
      return one.kind !== 'edit' && one.device ? `${one.person}, ${one.device}` : one.person;
    if (one.kind !== 'edit') return null;
    return `device ${devices.filter((device) => device !== 'server').indexOf(one.device) + 1}`;
  };
  return (
    <>
      <button className={form['plain']} type="button" onClick={() => void read()}>
        {happened === null ? 'Show what was changed' : 'Read it again'}
      </button>
      {trouble && <p role="alert">{trouble}</p>}
      {happened?.length === 0 && <p className={styles['none']}>Nothing has been changed yet.</p>}
      {happened !== null && happened.length > 0 && (
        <ul className={styles['history']}>
          {happened.map((one, index) => (
            <li key={`${one.kind} ${one.at} ${index}`}>
              <span className={styles['when']}>
                {[sayAt(one.at), nameOf(one)].filter(Boolean).join(', ')}
              </span>
              <Line one={one} inspection={inspection} />
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function Line({ one, inspection }: { readonly one: Happened; readonly inspection: Inspection }) {
  if (one.kind === 'deed') return <span>{one.says}</span>;
  if (one.kind === 'edit')
    return (
      <span>
        {sayField(inspection, one.path)}: <s>{sayValue(one.was)}</s> <b>{sayValue(one.value)}</b>
        {one.isUnder && ' (set later on another device: that stands)'}
      </span>
    );
  const run = inspection.runs.find(({ id }) => id === one.runId);
  return (
    <span>
      logged {one.count} {one.count === 1 ? 'entry' : 'entries'} in run{' '}
      {run ? labelOf(run) : one.runId}
    </span>
  );
}
