import { useState } from 'react';
import { getJson, sayNotDone } from '#client/api';
import type { Told } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { sayField, sayValue } from '#core/model/job/say-edit';
import form from '../shared/form.module.css';
import styles from './History.module.css';

/** "3 Nov, 09:14" in the reader's own time. */
const sayAt = (at: string) =>
  new Date(at).toLocaleString('en-US', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hour12: false,
  });

/** What was ever set in the job: old values stay readable. Read from the server when it is asked for. */
export function History({ inspection }: { readonly inspection: Inspection }) {
  const [edits, setEdits] = useState<readonly Told[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = async () => {
    const path = `/api/jobs/${encodeURIComponent(inspection.job.id)}/history`;
    const sent = await getJson<{ edits: readonly Told[] }>(path);
    setTrouble(sent.state === 'ok' ? null : sayNotDone(sent));
    if (sent.state === 'ok') setEdits(sent.value.edits);
  };
  const devices = [...new Set((edits ?? []).map(({ device }) => device))].reverse();
  const nameOf = (device: string) =>
    device === 'server'
      ? 'Chert'
      : `device ${devices.filter((one) => one !== 'server').indexOf(device) + 1}`;
  return (
    <>
      <button className={form['plain']} type="button" onClick={() => void read()}>
        {edits === null ? 'Show what was changed' : 'Read it again'}
      </button>
      {trouble && <p role="alert">{trouble}</p>}
      {edits?.length === 0 && <p className={styles['none']}>Nothing has been changed yet.</p>}
      {edits !== null && edits.length > 0 && (
        <ul className={styles['history']}>
          {edits.map((one) => (
            <li key={one.seq}>
              <span className={styles['when']}>
                {sayAt(one.at)}, {nameOf(one.device)}
              </span>
              <span>
                {sayField(inspection, one.path)}: <s>{sayValue(one.was)}</s>{' '}
                <b>{sayValue(one.value)}</b>
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
