import type { UseFormRegister } from 'react-hook-form';
import { MAYBE_NUMBER, type SettingsFields } from '#client/actions/settings-fields';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

/** How long voices and videos are kept; logs, stills and reports stay. */
export function KeepPart({ register }: { readonly register: UseFormRegister<SettingsFields> }) {
  return (
    <section className={styles['part']} aria-labelledby="keep-title">
      <h2 id="keep-title">Retention</h2>
      <p>
        Logs, stills and issued reports stay. Voice notes and recordings of a job whose report is
        out can be removed after a time; the job’s history shows each removal. They are gone from
        the backups too, once those are replaced.
      </p>
      <div className={styles['grid']}>
        <Labelled label="Keep for, months" hint="Leave it empty to keep everything.">
          <input inputMode="numeric" {...register('keepMonths', MAYBE_NUMBER)} />
        </Labelled>
      </div>
    </section>
  );
}
