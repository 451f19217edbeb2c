import { useEffect, useState } from 'react';
import { ANOTHER, HOUSE_LINE, startRun } from '#client/actions/start-run';
import type { Doing } from '#client/job-on-device';
import { ACCESS_KINDS } from '#core/catalogue/access/index';
import { MATERIALS } from '#core/catalogue/materials/index';
import { AIDS, CLEANED_BEFORE, ZERO_PLACES } from '#core/catalogue/vocabulary';
import { ZONES } from '#core/catalogue/zones';
import { type Inspection } from '#core/model/job/inspection';
import { labelOf } from '#core/model/job/labels';
import { type Run } from '#core/model/job/run';
import type { Equipment } from '#core/site/equipment';
import { Field, sayCode, Select, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { faultsOf, type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import { Cautions } from './Cautions';
import styles from './RunSetup.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly equipment: Equipment;
  readonly onChange: (...doing: readonly Doing[]) => void;
  readonly onRun: (run: Run) => void;
  readonly onCancel: (() => void) | undefined;
};

/** Adds an access point, where it is new, and a run from it. */
export function RunSetup({ inspection, equipment, onChange, onRun, onCancel }: Props) {
  const { accessPoints, lines = [] } = inspection;
  const ready = useReady();
  const [accessId, setAccessId] = useState(
    (accessPoints.findLast(({ usable }) => usable) ?? accessPoints.at(-1))?.id ?? ANOTHER,
  );
  const [zeroAt, setZeroAt] = useState<string>('horizontal');
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [lineId, setLineId] = useState('');
  useEffect(() => {
    // Site sends here with the access it chose.
    const wanted = new URLSearchParams(window.location.search).get('access');
    if (accessPoints.some(({ id }) => id === wanted)) setAccessId(wanted!);
  }, [accessPoints]);
  const isNew = accessId === ANOTHER;

  const start = (typed: Typed) => {
    const started = startRun(inspection, { accessId, lineId }, typed);
    if (!started.ok) {
      setTrouble([
        ...started.errors.flatMap((error) => faultsOf(error, LABELS)),
        ...(started.isLineNameless ? ['Line: expected a name, got nothing.'] : []),
      ]);
      return;
    }
    onChange(...started.doing);
    onRun(started.run);
  };

  return (
    <div className={styles['screen']}>
      <Form className={`${form['form']} ${styles['setup']}`} onTyped={start}>
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
                {accessPoints.map(({ id, label = id, kind, place }) => (
                  <option key={id} value={id}>
                    {label}: {sayCode(kind)}
                    {place ? `, ${place}` : ''}
                  </option>
                ))}
                <option value={ANOTHER}>Another one</option>
              </select>
            </div>
          )}
          {isNew && (
            <div className={styles['grid']}>
              <Select name="kind" label="Kind" options={ACCESS_KINDS} value="cleanout" />
              <Select name="material" label="Material" options={MATERIALS} value="cast-iron" />
              <Field name="diameterIn" label="Diameter, in" value="4" mode="decimal" />
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
                    {sayCode(at)}
                  </option>
                ))}
              </select>
            </div>
            <Field name="zeroFt" label="It then reads, ft" value="0" mode="decimal" />
            {zeroAt === 'rim' && (
              <Field
                key={accessId}
                name="dropFt"
                label="Drop below the rim, ft"
                value={accessPoints.find(({ id }) => id === accessId)?.dropFt ?? ''}
                mode="decimal"
              />
            )}
            <Select
              name="cleanedBefore"
              label="Cleaned before this look"
              options={CLEANED_BEFORE}
              value="unknown"
            />
            <Select
              name="waterAtStart"
              label="Water in the line now"
              options={WATER_WORDS}
              value="unknown"
            />
            <div className={form['field']}>
              <label htmlFor="head">Head</label>
              <select id="head" name="head" defaultValue={equipment.heads[0]?.name ?? ''}>
                {equipment.heads.map(({ name, diameterIn }) => (
                  <option key={name} value={name}>
                    {name}, {diameterIn} in
                  </option>
                ))}
              </select>
            </div>
            <div className={form['field']}>
              <label htmlFor="line-of-run">Line</label>
              <select
                id="line-of-run"
                value={lineId}
                onChange={(event) => setLineId(event.target.value)}
              >
                <option value="">{HOUSE_LINE.label}</option>
                {lines
                  .filter((one) => one.joins !== undefined)
                  .map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.label}
                    </option>
                  ))}
                <option value={ANOTHER}>A branch or second building</option>
              </select>
            </div>
            {lineId === ANOTHER && (
              <Field name="lineLabel" label="Name of that line" value="" mode="text" />
            )}
            {accessPoints.some((one) => one.id !== accessId) && (
              <>
                <div className={form['field']}>
                  <label htmlFor="tapedFrom">Taped from access</label>
                  <select id="tapedFrom" name="tapedFrom">
                    {accessPoints
                      .filter((one) => one.id !== accessId)
                      .map((one) => (
                        <option key={one.id} value={one.id}>
                          {labelOf(one)}
                        </option>
                      ))}
                  </select>
                </div>
                <Field name="tapedFt" label="Taped, ft (downstream +)" value="" mode="text" />
              </>
            )}
          </div>
        </fieldset>
        <Troubles list={trouble} />
        <div className={styles['acts']}>
          <button className={form['act']} type="submit" disabled={!ready}>
            Start this run
          </button>
          {onCancel && (
            <button className={form['plain']} type="button" onClick={onCancel}>
              Back to the log
            </button>
          )}
        </div>
      </Form>
      <Cautions
        access={
          accessPoints.find(({ id }) => id === accessId) ?? { kind: 'cleanout', zone: 'yard' }
        }
      />
    </div>
  );
}

/** What water runs when the camera goes in: until somebody says, nothing is known of what stands. */
const WATER_WORDS = [
  ['unknown', 'Not said'],
  ['none', 'None: nobody runs any'],
  ['running', 'Running'],
] as const;

const LABELS: Record<string, string> = {
  diameterIn: 'Bore',
  'zero.readingFt': 'Counter at the zero',
  'zero.dropFt': 'Drop below the rim',
  place: 'Where',
  head: 'Head',
  alongFt: 'Taped distance',
};
