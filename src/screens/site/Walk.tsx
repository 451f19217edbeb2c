import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { Inspection } from '#core/model/job/inspection';
import { labelOf } from '#core/model/job/labels';
import type { Surrounding } from '#core/model/job/property';
import { Field, sayCode, Select } from '../shared/Fields';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import styles from './SiteScreen.module.css';

const THINGS = [
  'tree',
  'hedge',
  'sunken-ground',
  'wet-ground',
  'wet-crawlspace',
  'buried-cleanout',
  'missing-cleanout',
  'buried-utility',
  'footing',
];

type Props = {
  readonly inspection: Inspection;
  readonly onSurroundings: (surroundings: readonly Surrounding[]) => void;
};

/** What stands over or near the line, before the camera gives it a footage. */
export function Walk({ inspection, onSurroundings }: Props) {
  const ready = useReady();
  const [trouble, setTrouble] = useState('');
  const surroundings = inspection.property.surroundings ?? [];
  const placed = new Map(
    inspection.runs.flatMap((run) =>
      run.entries.flatMap((entry) =>
        entry.kind === 'surface' && entry.seenOnWalk
          ? [
              [
                entry.seenOnWalk,
                `${entry.readingFt?.toFixed(1) ?? '–'} ft on ${labelOf(run)}`,
              ] as const,
            ]
          : [],
      ),
    ),
  );
  const add = ({ text, number, element }: Typed) => {
    const offsetFt = text('offsetFt') === '' ? undefined : number('offsetFt');
    const isWrong = offsetFt !== undefined && !(offsetFt >= 0 && offsetFt < 1000);
    setTrouble(isWrong ? `To the side: expected feet, got ${text('offsetFt')}.` : '');
    if (isWrong) return;
    const thing = { id: ulid(), what: text('what'), where: text('where') };
    onSurroundings([
      ...surroundings,
      { ...thing, ...(offsetFt === undefined ? {} : { offsetFt }) },
    ]);
    element.reset();
  };
  return (
    <section className={styles['part']} aria-labelledby="walk-title">
      <h2 id="walk-title">Over and near the line</h2>
      {surroundings.length === 0 ? (
        <p className={styles['hint']}>
          Walk the line first: trees, hedges, sunken or wet ground, a cleanout that is buried. On
          Scope one press gives each its footage.
        </p>
      ) : (
        <ul className={styles['things']}>
          {surroundings.map(({ id, what, where, offsetFt }) => (
            <li key={id}>
              <span>
                <strong>{sayCode(what)}</strong>
                {where && `, ${where}`}
                {offsetFt !== undefined && `, ${offsetFt} ft to the side`}
                <em>{placed.has(id) ? `at ${placed.get(id)!}` : 'no footage yet'}</em>
              </span>
              {!placed.has(id) && (
                <button
                  type="button"
                  aria-label={`Take out ${sayCode(what)}`}
                  onClick={() => onSurroundings(surroundings.filter((one) => one.id !== id))}
                >
                  <Trash2 size={20} aria-hidden="true" />
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <Form onTyped={add}>
        <fieldset className={form['whole']} disabled={!ready}>
          <div className={styles['grid']}>
            <Select name="what" label="What" options={THINGS} value="tree" />
            <Field name="offsetFt" label="To the side, ft" mode="decimal" />
            <div className={styles['wide']}>
              <Field name="where" label="Where" />
            </div>
          </div>
          {trouble && (
            <p className={form['error']} role="alert">
              {trouble}
            </p>
          )}
          <button className={form['plain']} type="submit">
            Add it
          </button>
        </fieldset>
      </Form>
    </section>
  );
}
