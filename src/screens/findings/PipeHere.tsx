import { useId, useState } from 'react';
import { type Material, MATERIALS } from '#core/catalogue/materials/index';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import type { Segment } from '#core/lateral/segments';
import { Form } from '../shared/Form';
import { type Typed } from '../shared/form-data';
import styles from './Detail.module.css';

type Props = {
  readonly segment: Segment;
  /** Whether there is an entry that calls the pipe so, which a correction can replace. */
  readonly canCorrect: boolean;
  readonly onCorrect: (pipe: { material: Material; diameterIn: number }) => void;
};

/** Larger than any pipe a camera is pushed through. */
const MOST_DIAMETER_IN = 120;

/** The pipe a finding lies in, and its correction: a material called wrongly is common. */
export function PipeHere({ segment, canCorrect, onCorrect }: Props) {
  const id = useId();
  const [isCorrecting, setCorrecting] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { material, diameterIn, certainty, lined } = segment;
  const name = `${diameterIn === null ? '' : `${diameterIn} in `}${nameMaterial(material)}${lined ? ', lined' : ''}`;
  const correct = ({ text, number }: Typed) => {
    const diameterIn = number('diameterIn');
    const isRight = diameterIn > 0 && diameterIn <= MOST_DIAMETER_IN;
    setTrouble(isRight ? null : `Expected a diameter in inches, up to ${MOST_DIAMETER_IN}.`);
    if (!isRight) return;
    onCorrect({ material: text('material') as Material, diameterIn });
    setCorrecting(false);
  };
  return (
    <div className={styles['pipe']}>
      <p>
        <b>Pipe:</b> {name}
        {certainty !== 'confirmed' && material !== 'unknown' && (
          <em> ({certainty.replace('-', ' ')})</em>
        )}
      </p>
      {canCorrect && !isCorrecting && (
        <button type="button" onClick={() => setCorrecting(true)}>
          {certainty === 'confirmed' ? 'Correct the pipe' : 'Confirm or correct the pipe'}
        </button>
      )}
      {isCorrecting && (
        <Form onTyped={correct}>
          <label htmlFor={`${id}-material`}>Material</label>
          <select id={`${id}-material`} name="material" defaultValue={material}>
            {MATERIALS.map((one) => (
              <option key={one} value={one}>
                {nameMaterial(one)}
              </option>
            ))}
          </select>
          <label htmlFor={`${id}-bore`}>Diameter, in</label>
          <input
            id={`${id}-bore`}
            name="diameterIn"
            inputMode="decimal"
            autoComplete="off"
            defaultValue={diameterIn ?? 4}
          />
          <button type="submit" data-act="true">
            Log the correction
          </button>
          <button type="button" onClick={() => setCorrecting(false)}>
            Leave it
          </button>
          {trouble && <p role="alert">{trouble}</p>}
        </Form>
      )}
    </div>
  );
}
