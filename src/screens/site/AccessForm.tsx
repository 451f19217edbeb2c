import { useState } from 'react';
import { readAccess } from '#client/actions/site';
import { VALIDATION } from '#core/base/joi';
import { ACCESS_KINDS } from '#core/catalogue/access/index';
import { MATERIALS } from '#core/catalogue/materials/index';
import { ZONES } from '#core/catalogue/zones';
import type { AccessPoint } from '#core/model/job/access-point';
import { accessPointSchema } from '#core/model/job/access-point.schema';
import { labelOf } from '#core/model/job/labels';
import { Field, Select, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { faultsOf, type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import styles from './SiteScreen.module.css';

type Props = {
  readonly access: AccessPoint;
  readonly onAccess: (access: AccessPoint) => void;
  readonly onCancel?: () => void;
};

const LABELS = {
  diameterIn: 'Bore',
  place: 'Where',
  obstacle: 'In the way',
  bendsDeg: 'Bends on the way in',
  dropFt: 'Drop to the pipe',
};
const TROUBLE_WORDS = [
  ['', 'As the words say'],
  ['stuck-cap', 'A cap that will not come'],
  ['buried', 'Buried or covered'],
  ['in-the-way', 'Something in the way'],
  ['other', 'Something else'],
] as const;
const ALONG_WORDS = [
  ['', 'Not known'],
  ['house-end', 'At the house end'],
  ['along', 'Along the line'],
  ['near-street', 'Near the street'],
] as const;

/** The facts of one access point. */
export function AccessForm({ access, onAccess, onCancel }: Props) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const ready = useReady();
  const at = (name: string) => `${name}-${labelOf(access)}`;
  const save = ({ text, number }: Typed) => {
    const changed = readAccess(access, {
      text: (name) => text(at(name)),
      number: (name) => number(at(name)),
    });
    const faults = faultsOf(accessPointSchema.validate(changed, VALIDATION).error, LABELS);
    setTrouble(faults);
    if (faults.length === 0) onAccess(changed as AccessPoint);
  };
  return (
    <Form className={styles['access']} onTyped={save}>
      <fieldset className={form['whole']} disabled={!ready}>
        <div className={styles['grid']}>
          <Select name={at('kind')} label="Kind" options={ACCESS_KINDS} value={access.kind} />
          <Select
            name={at('material')}
            label="Material"
            options={MATERIALS}
            value={access.material}
          />
          <Field
            name={at('diameterIn')}
            label="Diameter, in"
            value={access.diameterIn}
            mode="decimal"
          />
          <Select
            name={at('zone')}
            label="Lies in"
            options={access.zone === undefined ? [['', 'Not said'], ...ZONES] : ZONES}
            value={access.zone ?? ''}
          />
          <Select
            name={at('along')}
            label="On the line"
            options={ALONG_WORDS}
            value={access.alongLine ?? ''}
          />
          <Field
            name={at('dropFt')}
            label="Drop to the pipe, ft"
            value={access.dropFt}
            mode="decimal"
          />
          <Field name={at('bends')} label="Bends in, degrees" value={access.bendsDeg?.join(', ')} />
          <Field name={at('obstacle')} label="In the way" value={access.obstacle ?? ''} />
          <Select
            name={at('trouble')}
            label="That is"
            options={TROUBLE_WORDS}
            value={access.trouble ?? ''}
          />
          <div className={styles['wide']}>
            <Field name={at('place')} label="Where, in a few words" value={access.place} />
          </div>
        </div>
        <Troubles list={trouble} />
        <div className={styles['acts']}>
          <button className={form['act']} type="submit">
            Save this access point
          </button>
          {onCancel && (
            <button className={form['plain']} type="button" onClick={onCancel}>
              Leave it as it was
            </button>
          )}
        </div>
      </fieldset>
    </Form>
  );
}
