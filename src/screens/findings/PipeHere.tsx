import { useId, useState } from 'react';
import { type Material, MATERIALS } from '#core/catalogue/materials/index';
import { nameMaterial } from '#core/catalogue/materials/kinds';
import type { Segment } from '#core/lateral/segments';
import styles from './Detail.module.css';

type Props = {
  readonly segment: Segment;
  /** Whether there is an entry that calls the pipe so, which a correction can replace. */
  readonly canCorrect: boolean;
  readonly onCorrect: (pipe: { material: Material; diameterIn: number }) => void;
};

/** The pipe a finding lies in, and its correction: a material called wrongly is common. */
export function PipeHere({ segment, canCorrect, onCorrect }: Props) {
  const id = useId();
  const [isCorrecting, setCorrecting] = useState(false);
  const { material, diameterIn, certainty, lined } = segment;
  const name = `${diameterIn === null ? '' : `${diameterIn} in `}${nameMaterial(material)}${lined ? ', lined' : ''}`;
  const correct = (form: FormData) => {
    const bore = Number(String(form.get('diameterIn')).replace(',', '.'));
    if (!Number.isFinite(bore) || bore <= 0 || bore > 120) return;
    onCorrect({ material: form.get('material') as Material, diameterIn: bore });
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
        <form
          onSubmit={(event) => {
            event.preventDefault();
            correct(new FormData(event.currentTarget));
          }}
        >
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
            type="number"
            min="0.5"
            max="120"
            step="0.25"
            required
            defaultValue={diameterIn ?? 4}
          />
          <button type="submit" data-act="true">
            Log the correction
          </button>
          <button type="button" onClick={() => setCorrecting(false)}>
            Leave it
          </button>
        </form>
      )}
    </div>
  );
}
