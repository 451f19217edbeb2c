import type { UseFormRegister } from 'react-hook-form';
import type { SettingsFields } from '#client/actions/settings-fields';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

/** What stands in Settings of the backups as they are. */
export type BackupsNow = {
  /** When the last was made and what went wrong, in words. */
  readonly text: string;
  readonly isTrouble: boolean;
  /** The folder they go to; `null` where Chert was started to make none. */
  readonly folder: string | null;
  /** Where new stills and recordings go; `null`: the data folder. */
  readonly bucket: string | null;
};

/** When backups are made, and how many stay. */
export function BackupsPart({
  register,
  now,
}: {
  readonly register: UseFormRegister<SettingsFields>;
  readonly now: BackupsNow;
}) {
  const { text, isTrouble, folder, bucket } = now;
  return (
    <section className={styles['part']} aria-labelledby="backups-title">
      <h2 id="backups-title">Backups</h2>
      <p role={isTrouble ? 'alert' : undefined}>{text}</p>
      {folder === null ? (
        <p>
          Chert was started with backups turned off. Make sure something else makes them:{' '}
          <code>npm run backup -- FOLDER</code>.
        </p>
      ) : (
        <p>
          They go to <code>{folder}</code>. A backup on the same disk is lost with the disk: have
          another machine fetch that folder, or start Chert with <code>CHERT_BACKUPS</code> on
          another disk.
        </p>
      )}
      <div className={styles['grid']}>
        <Labelled
          label="Every day at"
          hint="By this machine’s clock. Leave empty for 24 hours after the last one."
        >
          <input type="time" {...register('backups.at')} />
        </Labelled>
        <Labelled label="Days to keep" hint="Plus the last one of each of 4 weeks and 12 months.">
          <input inputMode="numeric" {...register('backups.days', { valueAsNumber: true })} />
        </Labelled>
        {bucket !== null && (
          <label className={styles['tick']}>
            <input type="checkbox" {...register('backups.leavesBuckets')} /> leave out media stored
            in {bucket}
          </label>
        )}
      </div>
    </section>
  );
}
