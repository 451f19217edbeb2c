import { labelOf } from '#core/job/labels';
import type { Run } from '#core/job/run';
import { CLEANED_BEFORE, ZERO_PLACES } from '#core/log/vocabulary';
import { sayCode } from '../shared/Fields';
import styles from './Lateral.module.css';

type Props = {
  readonly run: Run;
  readonly onSetup: (setup: Omit<Run, 'entries'>) => void;
};

/** What a run's conclusions rest on and may be set afterwards: its zero, its drop, a cleaning before it. */
export function RunSetupEdit({ run, onSetup }: Props) {
  const { entries: _entries, ...setup } = run;
  const { zero, cleanedBefore } = run;
  return (
    <details className={styles['setup']}>
      <summary>Set-up of {labelOf(run)}</summary>
      <label>
        Cleaned before
        <select
          value={cleanedBefore}
          onChange={(event) =>
            onSetup({ ...setup, cleanedBefore: event.target.value as Run['cleanedBefore'] })
          }
        >
          {CLEANED_BEFORE.map((one) => (
            <option key={one} value={one}>
              {one === 'none' ? 'Not cleaned' : sayCode(one)}
            </option>
          ))}
        </select>
      </label>
      <label>
        Zero at
        <select
          value={zero.at}
          onChange={(event) =>
            onSetup({ ...setup, zero: { ...zero, at: event.target.value as Run['zero']['at'] } })
          }
        >
          {ZERO_PLACES.map((one) => (
            <option key={one} value={one}>
              {sayCode(one)}
            </option>
          ))}
        </select>
      </label>
      <label>
        Drop, ft
        <input
          key={zero.dropFt}
          defaultValue={zero.dropFt}
          inputMode="decimal"
          onBlur={(event) => {
            const dropFt = Number(event.target.value.replace(',', '.'));
            const isFeet = event.target.value.trim() !== '' && dropFt >= 0 && dropFt <= 200;
            if (isFeet && dropFt !== zero.dropFt) onSetup({ ...setup, zero: { ...zero, dropFt } });
          }}
        />
      </label>
    </details>
  );
}
