import { sayFault } from '#core/base/fault';
import { readSettingsFile, writeSettingsFile } from '#core/interchange/settings-file';
import type { Preferences } from '#core/site/equipment';
import { download } from '../shared/download';
import form from '../shared/form.module.css';
import styles from './SettingsScreen.module.css';

type Props = {
  /** The settings as they are kept. */
  readonly kept: Preferences;
  readonly onRead: (preferences: Preferences) => void;
  readonly onTrouble: (list: readonly string[]) => void;
};

/** Settings out to a file and in from one. */
export function Exchange({ kept, onRead, onTrouble }: Props) {
  const write = () =>
    download('settings.chert-settings.json', writeSettingsFile(kept), 'application/json');
  const read = async (file: File | undefined) => {
    if (!file) return;
    const outcome = readSettingsFile(await file.text());
    if (outcome.ok) onRead(outcome.value);
    else
      onTrouble(outcome.faults.map((fault) => sayFault(fault).replace(/^file: /, 'This file: ')));
  };
  return (
    <section className={styles['part']} aria-labelledby="exchange-title">
      <h2 id="exchange-title">Export and import</h2>
      <p>
        Your rig, words and thresholds, as one file. What you import is saved once you press Save
        settings.
      </p>
      <div className={styles['row']}>
        <button type="button" className={form['plain']} onClick={write}>
          Export settings
        </button>
        <label className={styles['labelled']}>
          <span>Import a file</span>
          <input
            type="file"
            accept=".json,application/json"
            onChange={(event) => void read(event.target.files?.[0])}
          />
        </label>
      </div>
    </section>
  );
}
