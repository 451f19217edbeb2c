import { useState } from 'react';
import type { Firm } from '#core/model/firm/firm';
import { type State, STATE_CODES, STATES } from '#core/model/firm/states';
import form from '../shared/form.module.css';
import styles from './FirmScreen.module.css';

/** What single states require to be said. */
export function StateTexts({ texts = {} }: { readonly texts: Firm['stateTexts'] }) {
  const [shown, setShown] = useState<readonly State[]>(
    STATE_CODES.filter((code) => texts[code] !== undefined),
  );
  const [wanted, setWanted] = useState<State | ''>('');
  return (
    <section className={styles['part']} aria-labelledby="states-title">
      <h2 id="states-title">State wording</h2>
      <p>
        Wording that one state requires. It is printed when the address of the house names that
        state (“…, OR 97201” or “…, Oregon”). Clear it to stop printing it.
      </p>
      {shown.map((code) => (
        <div key={code} className={form['field']}>
          <label htmlFor={`state-${code}`}>{STATES[code]}</label>
          <textarea
            id={`state-${code}`}
            name={`state-${code}`}
            rows={4}
            defaultValue={texts[code] ?? ''}
          />
        </div>
      ))}
      <div className={form['field']}>
        <label htmlFor="add-state">Add a state</label>
        <select
          id="add-state"
          value={wanted}
          onChange={(event) => setWanted(event.target.value as State | '')}
        >
          <option value="">Choose one</option>
          {STATE_CODES.filter((code) => !shown.includes(code)).map((code) => (
            <option key={code} value={code}>
              {STATES[code]}
            </option>
          ))}
        </select>
      </div>
      <button
        type="button"
        className={form['plain']}
        onClick={() => {
          if (wanted !== '') setShown([...shown, wanted]);
          setWanted('');
        }}
      >
        Add
      </button>
    </section>
  );
}
