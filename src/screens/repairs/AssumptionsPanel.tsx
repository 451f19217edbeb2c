import { useState } from 'react';
import { VALIDATION } from '#core/base/joi';
import {
  ASSUMPTION_KEYS,
  ASSUMPTION_TABLE,
  type AssumptionKey,
  type Assumptions,
} from '#core/model/job/assumptions';
import type { Settings } from '#core/model/job/settings';
import { settingsSchema } from '#core/model/job/settings.schema';
import { PRICE_SOURCE, PRICES_AS_OF } from '#core/model/prices/price-table';
import { Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { faultsOf, type Typed } from '../shared/form-data';
import { Panel } from '../shared/Panel';
import styles from './Repairs.module.css';

type Props = {
  readonly differing: Partial<Assumptions>;
  readonly onKeep: (assumptions: Settings['assumptions']) => void;
};

const LABELS = Object.fromEntries(
  ASSUMPTION_KEYS.map((key) => [`assumptions.${key}`, ASSUMPTION_TABLE[key].says]),
);

/** Every rate that the futures rest on, to be changed for this job. */
export function AssumptionsPanel({ differing, onKeep }: Props) {
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const count = Object.keys(differing).length;
  const keep = ({ text, number }: Typed) => {
    const said = ASSUMPTION_KEYS.flatMap((key): [AssumptionKey, number][] => {
      const isOwn = text(key) !== '' && number(key) !== ASSUMPTION_TABLE[key].value;
      return isOwn ? [[key, number(key)]] : [];
    });
    const assumptions: Partial<Assumptions> = Object.fromEntries(said);
    const faults = faultsOf(settingsSchema.validate({ assumptions }, VALIDATION).error, LABELS);
    setTrouble(faults);
    if (faults.length === 0) onKeep(assumptions);
  };
  return (
    <Panel id="assumptions" title="Assumptions" count={count}>
      <p className={styles['hint']}>
        Chert’s own figures ({PRICE_SOURCE}, {PRICES_AS_OF}); no study stands behind them.{' '}
        {count === 0
          ? 'All are in force as they are.'
          : `${count} of yours are in force for this job.`}
      </p>
      <details>
        <summary>See and change them</summary>
        <Form key={JSON.stringify(differing)} className={styles['assumptions']} onTyped={keep}>
          {ASSUMPTION_KEYS.map((key) => {
            const { value, low, high, unit, says } = ASSUMPTION_TABLE[key];
            return (
              <label key={key}>
                <span>{says}</span>
                <input
                  name={key}
                  inputMode="decimal"
                  defaultValue={differing[key] ?? ''}
                  placeholder={String(value)}
                  autoComplete="off"
                />
                <em>
                  Chert: {value} {unit === 'share' ? '(0 to 1)' : unit}; {low} to {high}
                </em>
              </label>
            );
          })}
          <Troubles list={trouble} />
          <div className={styles['buttons']}>
            <button type="submit" data-act="true">
              Keep for this job
            </button>
            {count > 0 && (
              <button type="button" onClick={() => onKeep({})}>
                Back to Chert’s
              </button>
            )}
          </div>
        </Form>
      </details>
    </Panel>
  );
}
