import { useState } from 'react';
import type { Material } from '#core/catalogue/materials/index';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import type { PipeAge } from '#core/lateral/age';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import styles from './PipeTable.module.css';

type Props = {
  readonly material: Material;
  readonly age: PipeAge;
  /** `null` goes back to Chert's figure. */
  readonly onLife: (material: Material, life: { from: number; to: number } | null) => void;
};

/** The years that a material usually serves, for this job. */
export function LifeEdit({ material, age, onLife }: Props) {
  const [trouble, setTrouble] = useState('');
  const name = nameMaterial(material);
  const submit = ({ number }: Typed) => {
    const [from, to] = [number('from'), number('to')];
    const isRight =
      Number.isInteger(from) && Number.isInteger(to) && from >= 1 && to >= from && to <= 500;
    setTrouble(isRight ? '' : 'Expected two whole numbers of years, the lesser first.');
    if (isRight) onLife(material, { from, to });
  };
  return (
    <Form
      className={styles['life']}
      onTyped={submit}
      key={`${age.lifeYears.from} ${age.lifeYears.to}`}
    >
      <span>{name}</span>
      <input
        name="from"
        aria-label={`${name}, from years`}
        inputMode="numeric"
        defaultValue={age.lifeYears.from}
      />
      <span>to</span>
      <input
        name="to"
        aria-label={`${name}, to years`}
        inputMode="numeric"
        defaultValue={age.lifeYears.to}
      />
      <button type="submit">Set</button>
      <button type="button" onClick={() => onLife(material, null)}>
        Chert’s own
      </button>
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </Form>
  );
}
