import { memo, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { localInstant } from '#client/time';
import { type Fault, sayFault } from '#core/base/fault';
import { type CsvTable, readCsv } from '#core/interchange/csv';
import {
  entriesOfRows,
  matchColumns,
  type Matching,
  readObservations,
} from '#core/interchange/observations-csv';
import type { StoredJob } from '#core/model/job/history';
import { labelIn } from '#core/model/job/labels';
import type { Preferences } from '#core/site/equipment';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { Panel } from '../shared/Panel';
import { useLight } from '../shared/useLight';
import { useReady } from '../shared/useReady';
import styles from './Observations.module.css';

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

const LABELS: Readonly<Record<keyof Matching, string>> = {
  reading: 'Reading, ft',
  what: 'What was seen',
  pass: 'Pass, out or back',
  to: 'To reading, ft',
  id: 'Id of the entry',
  at: 'Time',
};

/** Brings observations of others into a run's log: columns matched, every row shown as it would be logged. */
export const ObservationsScreen = memo(function ObservationsScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const [light, switchLight] = useLight(storedLight);
  const ready = useReady();
  const [table, setTable] = useState<CsvTable | null>(null);
  const [matching, setMatching] = useState<Matching | null>(null);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [runId, setRunId] = useState(inspection.runs[0]?.id ?? '');
  const [said, setSaid] = useState('');
  const read = useMemo(
    () => (table && matching ? readObservations(table, matching, preferences.ownWords) : null),
    [table, matching, preferences],
  );
  const known = new Set(
    inspection.runs.find(({ id }) => id === runId)?.entries.map(({ id }) => id),
  );
  const rows = read?.ok ? read.value : [];
  const fresh = rows.filter(({ id }) => id === null || !known.has(id));
  const choose = async (file: File | undefined) => {
    if (!file) return;
    setSaid('');
    const outcome = readCsv(await file.text());
    if (!outcome.ok) {
      setTable(null);
      setFaults(outcome.faults);
      return;
    }
    setFaults([]);
    setTable(outcome.value);
    setMatching(matchColumns(outcome.value.columns));
  };
  const log = () => {
    const entries = entriesOfRows(fresh, ulid, localInstant(new Date()));
    if (!entries.ok) {
      setFaults(entries.faults);
      return;
    }
    for (const entry of entries.value) job.change({ what: 'entry', runId, entry });
    setTable(null);
    setSaid(
      `${entries.value.length} entries were logged to run ${labelIn(inspection.runs, runId)}.`,
    );
  };
  const problems = [...faults, ...(read && !read.ok ? read.faults : [])];
  return (
    <div className={styles['screen']}>
      <JobBar job={job} stage="report" light={light} onLight={switchLight} />
      <main className={styles['work']}>
        <h1 className="hidden-visually">Import observations for {inspection.job.title}</h1>
        <Panel id="csv" title="Import observations">
          <fieldset className={styles['fields']} disabled={!ready}>
            <p className={styles['hint']}>
              A CSV file with a row for each thing seen. Chert reads each row as it reads the
              call-out line; what it does not understand becomes a flag with its words. Nothing is
              logged before you say so.
            </p>
            {inspection.runs.length === 0 ? (
              <p>Set up a run on Scope first: observations belong to one.</p>
            ) : (
              <div className={styles['grid']}>
                <label>
                  Run
                  <select value={runId} onChange={(event) => setRunId(event.target.value)}>
                    {inspection.runs.map(({ id, label = id, accessPointId, facing }) => (
                      <option key={id} value={id}>
                        {label}, from {labelIn(inspection.accessPoints, accessPointId)}, {facing}
                      </option>
                    ))}
                  </select>
                </label>
                <label>
                  CSV file
                  <input
                    type="file"
                    accept=".csv,text/csv"
                    onChange={(event) => void choose(event.target.files?.[0])}
                  />
                </label>
              </div>
            )}
            {table && matching && (
              <div className={styles['grid']} role="group" aria-label="Which column holds what">
                {(Object.keys(LABELS) as (keyof Matching)[]).map((key) => (
                  <label key={key}>
                    {LABELS[key]}
                    <select
                      value={matching[key] ?? ''}
                      onChange={(event) =>
                        setMatching({ ...matching, [key]: event.target.value || null })
                      }
                    >
                      <option value="">none</option>
                      {table.columns.map((column) => (
                        <option key={column}>{column}</option>
                      ))}
                    </select>
                  </label>
                ))}
              </div>
            )}
            {problems.length > 0 && (
              <ul role="alert">
                {problems.slice(0, 20).map((fault) => (
                  <li key={`${fault.path} ${fault.got}`}>
                    {sayFault(fault).replace(/^file: /, 'This file: ')}
                  </li>
                ))}
              </ul>
            )}
            {said && <p role="status">{said}</p>}
          </fieldset>
        </Panel>
        {table && read?.ok && (
          <Panel id="preview" title="As it would be logged" count={fresh.length}>
            <div className={styles['scroll']} role="group" aria-label="Preview">
              <table>
                <thead>
                  <tr>
                    <th scope="col">Line</th>
                    <th scope="col">In the file</th>
                    <th scope="col">Logged as</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.slice(0, 200).map(({ line, text, says, kept, id }) => (
                    <tr key={line} data-doubt={kept !== null || undefined}>
                      <td>{line}</td>
                      <td>{text}</td>
                      <td>
                        {id !== null && known.has(id)
                          ? 'already in the log'
                          : kept === null
                            ? says
                            : `not understood: kept as a ${kept} with its words`}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <div className={styles['buttons']}>
              <button type="button" data-act="true" disabled={fresh.length === 0} onClick={log}>
                Log {fresh.length} {fresh.length === 1 ? 'row' : 'rows'} to run {runId}
              </button>
            </div>
          </Panel>
        )}
      </main>
    </div>
  );
});
