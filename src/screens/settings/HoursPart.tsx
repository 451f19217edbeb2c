import type { UseFormRegister } from 'react-hook-form';
import type { SettingsFields } from '#client/actions/settings-fields';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

const NUMBERS = [
  ['factor', 'Road, times the line'],
  ['mph', 'Miles an hour'],
  ['stopMin', 'To park, min'],
  ['unknownMin', 'An unknown way, min'],
] as const;

/** When the firm works, and by what the ways of the board and of free times are reckoned. */
export function HoursPart({ register }: { readonly register: UseFormRegister<SettingsFields> }) {
  return (
    <section className={styles['part']} aria-labelledby="hours-title">
      <h2 id="hours-title">The week</h2>
      <p>
        What the board and the free times of a booking go by. There is no map: a way is the straight
        line, made longer.
      </p>
      <div className={styles['grid']}>
        <Labelled label="Work begins">
          <input type="time" {...register('hours.start')} />
        </Labelled>
        <Labelled label="Work ends">
          <input type="time" {...register('hours.end')} />
        </Labelled>
        <Labelled
          label="It often rains from"
          hint="Nobody goes on a roof then. Leave both empty for none."
        >
          <input type="time" {...register('hours.rainFrom')} />
        </Labelled>
        <Labelled label="until">
          <input type="time" {...register('hours.rainTo')} />
        </Labelled>
        {NUMBERS.map(([key, label]) => (
          <Labelled key={key} label={label}>
            <input inputMode="decimal" {...register(`hours.${key}`, { valueAsNumber: true })} />
          </Labelled>
        ))}
      </div>
    </section>
  );
}
