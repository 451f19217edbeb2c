import { useState } from 'react';
import { postJson, postZip } from '#client/api';
import { type Fault, sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { isUnsentWork } from '#core/interchange/unsent-work';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';

type Trouble = { readonly message: string; readonly faults: readonly Fault[] };

/** Reads an inspection file into a job. The file is checked here first, then again by the server. */
export function ImportFile() {
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const ready = useReady();
  const [waiting, setWaiting] = useState<string | File | null>(null);

  const send = async (file: string | File, as?: 'copy' | 'unsent') => {
    setTrouble(null);
    const path = `/api/jobs/import${as ? `?as=${as}` : ''}`;
    const sent =
      typeof file === 'string'
        ? await postJson<{ id: string }>(path, file)
        : await postZip<{ id: string }>(path, file);
    if (sent.state === 'ok') {
      window.location.assign(`/jobs/${encodeURIComponent(sent.value.id)}/report`);
    } else if (sent.state === 'refused') {
      setTrouble(sent);
      setWaiting(sent.code === 'job-exists' ? file : null);
    } else {
      setTrouble({ message: 'Chert’s server does not answer. Try again.', faults: [] });
    }
  };

  const choose = async (file: File | undefined) => {
    if (!file) return;
    if (file.name.endsWith('.zip')) return send(file);
    const text = await file.text();
    if (isUnsentWork(text)) return send(text, 'unsent');
    const checked = readInspectionFile(text);
    if (checked.ok) return send(text);
    setWaiting(null);
    setTrouble({
      message: `${file.name} was not read. Nothing was stored.`,
      faults: checked.faults,
    });
  };

  return (
    <section className={form['form']} aria-labelledby="import-title">
      <h2 id="import-title">Import a file</h2>
      <div className={form['field']}>
        <label htmlFor="import-file">
          Inspection file (.chert.json), a zip of it with stills, or unsent work that a device saved
        </label>
        <input
          id="import-file"
          type="file"
          disabled={!ready}
          accept=".json,.zip,application/json,application/zip"
          onChange={(event) => {
            void choose(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
      {trouble && (
        <div role="alert">
          <p className={form['error']}>{trouble.message}</p>
          <ul className={form['faults']}>
            {trouble.faults.map((fault) => (
              <li key={`${fault.path} ${fault.expected}`}>{sayFault(fault)}</li>
            ))}
          </ul>
        </div>
      )}
      {waiting && (
        <button className={form['plain']} type="button" onClick={() => void send(waiting, 'copy')}>
          Import as a copy
        </button>
      )}
    </section>
  );
}
