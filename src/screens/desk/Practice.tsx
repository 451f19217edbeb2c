import { useState } from 'react';
import { ulid } from 'ulid';
import { postJson } from '#client/api';
import { LATERAL_IDS, loadLateral, madeId } from '#client/gear/laterals';
import { localInstant } from '#client/time';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { jobFromLateral } from '#core/simulator/job-from-lateral';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';

type Props = {
  /** Titles of the laterals that ship with Chert, by id. */
  readonly titles: Readonly<Record<string, string>>;
};

const MADE = 'made';
/** Numbers of made laterals are drawn below this. */
const MOST_MADE = 100_000;

/** Starts a job on a simulated lateral, to be scoped with the rig. */
export function Practice({ titles }: Props) {
  const ready = useReady();
  const [id, setId] = useState(LATERAL_IDS[0] ?? MADE);
  const [trouble, setTrouble] = useState<string | null>(null);

  const start = async () => {
    setTrouble(null);
    const seed = Math.floor(Math.random() * MOST_MADE);
    const lateral = await loadLateral(id === MADE ? madeId(seed) : id);
    const job = jobFromLateral(lateral, {
      id: ulid(),
      scheduledFor: localInstant(new Date()),
      inspector: '',
      seed,
    });
    const sent = await postJson<{ id: string }>('/api/jobs/import', writeInspectionFile(job));
    if (sent.state === 'ok') {
      window.location.assign(`/jobs/${encodeURIComponent(sent.value.id)}/site`);
    } else {
      setTrouble(
        sent.state === 'refused' ? sent.message : 'Chert’s server does not answer. Try again.',
      );
    }
  };
  return (
    <section className={form['form']} aria-labelledby="practice-title">
      <h2 id="practice-title">Try it on a simulated line</h2>
      <p>A camera, reel and locator come with Chert. Scope a line that is not there.</p>
      <div className={form['field']}>
        <label htmlFor="practice-lateral">Line</label>
        <select
          id="practice-lateral"
          disabled={!ready}
          value={id}
          onChange={(event) => setId(event.target.value)}
        >
          {LATERAL_IDS.map((one) => (
            <option key={one} value={one}>
              {titles[one] ?? one}
            </option>
          ))}
          <option value={MADE}>One that nobody has seen</option>
        </select>
      </div>
      {trouble && (
        <p role="alert" className={form['error']}>
          {trouble}
        </p>
      )}
      <button
        className={form['plain']}
        type="button"
        disabled={!ready}
        onClick={() => {
          start().catch((error: unknown) =>
            setTrouble(error instanceof Error ? error.message : String(error)),
          );
        }}
      >
        Start a practice job
      </button>
    </section>
  );
}
