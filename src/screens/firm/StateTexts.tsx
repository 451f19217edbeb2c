import { useState } from 'react';
import type { Firm } from '#core/model/firm/firm';
import { type State, STATE_CODES, STATES } from '#core/model/firm/states';
import form from '../shared/form.module.css';
import styles from './FirmScreen.module.css';

/** What single states ask to be said on top. */
export function StateTexts({ texts = {} }: { readonly texts: Firm['stateTexts'] }) {
  const [shown, setShown] = useState<readonly State[]>(
    STATE_CODES.filter((code) => texts[code] !== undefined),
  );
  const [wanted, setWanted] = useState<State | ''>('');
  return (
    <section className={styles['part']} aria-labelledby="states-title">
      <h2 id="states-title">Words of a state</h2>
      <p>
        What one state asks you to say on top. It is printed where the address of the house names
        that state (“…, OR 97201” or “…, Oregon”). Empty it, and it is printed no more.
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
        Add it
      </button>
    </section>
  );
}
