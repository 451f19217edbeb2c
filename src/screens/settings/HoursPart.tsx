import type { UseFormRegister } from 'react-hook-form';
import type { SettingsFields } from '#client/actions/settings-fields';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

const NUMBERS = [
  ['factor', 'Road miles for each straight mile'],
  ['mph', 'Average speed, mph'],
  ['stopMin', 'Parking and unloading, min'],
  ['unknownMin', 'Drive where a position is missing, min'],
] as const;

/** When the firm works, and by what the ways of the board and of free times are reckoned. */
export function HoursPart({ register }: { readonly register: UseFormRegister<SettingsFields> }) {
  return (
    <section className={styles['part']} aria-labelledby="hours-title">
      <h2 id="hours-title">The week</h2>
      <p>
        The board and the free times of a booking are worked out from these. There is no map: a
        drive is the straight line, made longer.
      </p>
      <div className={styles['grid']}>
        <Labelled label="Work starts">
          <input type="time" {...register('hours.start')} />
        </Labelled>
        <Labelled label="Work ends">
          <input type="time" {...register('hours.end')} />
        </Labelled>
        <Labelled
          label="It often rains from"
          hint="No roof work is planned then. Leave both empty for none."
        >
          <input type="time" {...register('hours.rainFrom')} />
        </Labelled>
        <Labelled label="Until">
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
