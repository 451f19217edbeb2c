import { type FormEvent, useState } from 'react';
import { faultsFromJoi } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { type AccessPoint, accessPointSchema } from '#core/job/access-point';
import type { Inspection } from '#core/job/inspection';
import { type Run, runSetupSchema } from '#core/job/run';
import {
  ACCESS_KINDS,
  AIDS,
  CLEANED_BEFORE,
  MATERIALS,
  ZERO_PLACES,
  ZONES,
} from '#core/log/vocabulary';
import { postJson } from '../shared/api';
import { useReady } from '../shared/useReady';
import form from '../shared/form.module.css';
import { Cautions } from './Cautions';
import styles from './RunSetup.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly onAccess: (access: AccessPoint) => void;
  readonly onRun: (run: Run) => void;
  readonly onCancel: (() => void) | undefined;
};

const NEW_ACCESS = '+';
const say = (code: string) => {
  const words = code.replace(/-/g, ' ').replace(/^(abs|pvc|hdpe)$/, (m) => m.toUpperCase());
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** The first free name of the kind A, B, C … or R1, R2 … */
function freeName(taken: readonly string[], nameAt: (index: number) => string): string {
  for (let index = 0; ; index += 1) if (!taken.includes(nameAt(index))) return nameAt(index);
}
const letter = (index: number): string =>
  (index >= 26 ? letter(Math.floor(index / 26) - 1) : '') + String.fromCharCode(65 + (index % 26));

/** Adds an access point, where it is new, and a run from it. */
export function RunSetup({ inspection, onAccess, onRun, onCancel }: Props) {
  const { accessPoints, runs, job } = inspection;
  const ready = useReady();
  const [accessId, setAccessId] = useState(accessPoints.at(-1)?.id ?? NEW_ACCESS);
  const [zeroAt, setZeroAt] = useState<string>('horizontal');
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [isBusy, setBusy] = useState(false);
  const isNew = accessId === NEW_ACCESS;

  const start = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    const number = (name: string) => (text(name) === '' ? NaN : Number(text(name)));
    const id = isNew
      ? freeName(
          accessPoints.map((one) => one.id),
          letter,
        )
      : accessId;
    const access = {
      id,
      kind: text('kind'),
      diameterIn: number('diameterIn'),
      material: text('material'),
      place: text('place'),
      zone: text('zone'),
      usable: true,
      obstacle: null,
    };
    const setup = {
      id: freeName(
        runs.map((run) => run.id),
        (index) => `R${index + 1}`,
      ),
      accessPointId: id,
      facing: text('facing'),
      zero: {
        at: text('zeroAt'),
        readingFt: number('zeroFt'),
        dropFt: zeroAt === 'rim' ? number('dropFt') : 0,
      },
      cleanedBefore: text('cleanedBefore'),
      ...(text('head') ? { head: text('head') } : {}),
      aid: text('aid'),
    };
    const faults = [
      ...(isNew ? faultsOf(accessPointSchema.validate(access, VALIDATION).error) : []),
      ...faultsOf(runSetupSchema.validate(setup, VALIDATION).error),
    ];
    setTrouble(faults);
    if (faults.length > 0) return;
    setBusy(true);
    const path = `/api/jobs/${encodeURIComponent(job.id)}`;
    const trouble =
      (isNew ? await send(`${path}/access-points`, access) : null) ??
      (await send(`${path}/runs`, setup));
    setBusy(false);
    if (trouble) return setTrouble([trouble]);
    if (isNew) onAccess(access as AccessPoint);
    onRun({ ...setup, entries: [] } as unknown as Run);
  };

  return (
    <div className={styles['screen']}>
      <form className={`${form['form']} ${styles['setup']}`} onSubmit={start} noValidate>
        <fieldset className={styles['group']} disabled={!ready}>
          <legend>Where the camera goes in</legend>
          {accessPoints.length > 0 && (
            <div className={form['field']}>
              <label htmlFor="access">Access point</label>
              <select
                id="access"
                value={accessId}
                onChange={(event) => setAccessId(event.target.value)}
              >
                {accessPoints.map(({ id, kind, place }) => (
                  <option key={id} value={id}>
                    {id}: {say(kind)}
                    {place ? `, ${place}` : ''}
                  </option>
                ))}
                <option value={NEW_ACCESS}>Another one</option>
              </select>
            </div>
          )}
          {isNew && (
            <div className={styles['grid']}>
              <Select name="kind" label="Kind" options={ACCESS_KINDS} value="cleanout" />
              <Select name="material" label="Material" options={MATERIALS} value="cast-iron" />
              <Field name="diameterIn" label="Bore, in" value="4" mode="decimal" />
              <Select name="zone" label="Lies in" options={ZONES} value="yard" />
              <div className={styles['wide']}>
                <Field name="place" label="Where, in a few words" value="" mode="text" />
              </div>
            </div>
          )}
        </fieldset>
        <fieldset className={styles['group']} disabled={!ready}>
          <legend>The run</legend>
          <div className={styles['grid']}>
            <Select
              name="facing"
              label="Facing"
              options={['downstream', 'upstream']}
              value="downstream"
            />
            <Select name="aid" label="Skid or guide" options={AIDS} value="none" />
            <div className={form['field']}>
              <label htmlFor="zeroAt">Counter is zeroed at</label>
              <select
                id="zeroAt"
                name="zeroAt"
                value={zeroAt}
                onChange={(event) => setZeroAt(event.target.value)}
              >
                {ZERO_PLACES.map((at) => (
                  <option key={at} value={at}>
                    {say(at)}
                  </option>
                ))}
              </select>
            </div>
            <Field name="zeroFt" label="It then reads, ft" value="0" mode="decimal" />
            {zeroAt === 'rim' && (
              <Field name="dropFt" label="Drop below the rim, ft" value="" mode="decimal" />
            )}
            <Select
              name="cleanedBefore"
              label="Cleaned before this look"
              options={CLEANED_BEFORE}
              value="none"
            />
            <Field name="head" label="Head" value="" mode="text" />
          </div>
        </fieldset>
        {trouble.length > 0 && (
          <ul className={form['error']} role="alert">
            {trouble.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        )}
        <div className={styles['acts']}>
          <button className={form['act']} type="submit" disabled={isBusy || !ready}>
            Start this run
          </button>
          {onCancel && (
            <button className={form['plain']} type="button" onClick={onCancel}>
              Back to the log
            </button>
          )}
        </div>
      </form>
      <Cautions />
    </div>
  );
}

const LABELS: Record<string, string> = {
  diameterIn: 'Bore',
  'zero.readingFt': 'Counter at the zero',
  'zero.dropFt': 'Drop below the rim',
  place: 'Where',
  head: 'Head',
};

function faultsOf(error: Parameters<typeof faultsFromJoi>[0] | undefined): string[] {
  if (!error) return [];
  return faultsFromJoi(error).map(
    ({ path, expected, got }) =>
      `${LABELS[path] ?? path}: expected ${expected}, got ${got === 'NaN' ? 'nothing' : got}.`,
  );
}

/** Sends one record; `null` when the server has it, else what went wrong in a sentence. */
async function send(path: string, body: unknown): Promise<string | null> {
  const sent = await postJson(path, body);
  if (sent.state === 'ok') return null;
  if (sent.state === 'refused') return sent.message;
  return 'Chert’s server does not answer. What you chose is kept here; try again.';
}

function Field({
  name,
  label,
  value,
  mode,
}: {
  name: string;
  label: string;
  value: string;
  mode: 'text' | 'decimal';
}) {
  return (
    <div className={form['field']}>
      <label htmlFor={name}>{label}</label>
      <input id={name} name={name} defaultValue={value} inputMode={mode} autoComplete="off" />
    </div>
  );
}

function Select({
  name,
  label,
  options,
  value,
}: {
  name: string;
  label: string;
  options: readonly string[];
  value: string;
}) {
  return (
    <div className={form['field']}>
      <label htmlFor={name}>{label}</label>
      <select id={name} name={name} defaultValue={value}>
        {options.map((option) => (
          <option key={option} value={option}>
            {say(option)}
          </option>
        ))}
      </select>
    </div>
  );
}
