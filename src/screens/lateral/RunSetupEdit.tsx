import { CLEANED_BEFORE, FACINGS, ZERO_PLACES } from '#core/catalogue/vocabulary';
import { MAIN_LINE } from '#core/lateral/lateral';
import type { Inspection } from '#core/model/job/inspection';
import { labelOf } from '#core/model/job/labels';
import type { Run } from '#core/model/job/run';
import { sayCode } from '../shared/Fields';
import styles from './PipeTable.module.css';

type Props = {
  readonly run: Run;
  readonly accessPoints: Inspection['accessPoints'];
  readonly lines: NonNullable<Inspection['lines']>;
  readonly onSetup: (setup: Omit<Run, 'entries'>) => void;
};

/**
 * What a run's conclusions rest on and may be set right afterwards: where it went in, on which line, which way it
 * faced, its zero and drop, the water and a cleaning before it. History keeps what it was.
 */
export function RunSetupEdit({ run, accessPoints, lines, onSetup }: Props) {
  const { entries: _entries, ...setup } = run;
  const { zero, cleanedBefore } = run;
  return (
    <details className={styles['setup']}>
      <summary>Set-up of {labelOf(run)}</summary>
      <div className={styles['setup-fields']}>
        <Pick
          label="Went in at"
          value={run.accessPointId}
          options={accessPoints.map((access) => [access.id, `${labelOf(access)}, ${access.place}`])}
          onPick={(accessPointId) => onSetup({ ...setup, accessPointId })}
        />
        {lines.length > 0 && (
          <Pick
            label="On the line"
            value={run.lineId ?? MAIN_LINE}
            options={linesOf(lines)}
            onPick={(lineId) => onSetup({ ...setup, lineId })}
          />
        )}
        <Pick
          label="Faced"
          value={run.facing}
          options={FACINGS.map((one) => [one, one])}
          onPick={(facing) => onSetup({ ...setup, facing: facing as Run['facing'] })}
        />
        <Pick
          label="Water at the start"
          value={run.waterAtStart ?? 'unknown'}
          options={WATER_WORDS}
          onPick={(water) =>
            onSetup({ ...setup, waterAtStart: water as NonNullable<Run['waterAtStart']> })
          }
        />
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
              if (isFeet && dropFt !== zero.dropFt)
                onSetup({ ...setup, zero: { ...zero, dropFt } });
            }}
          />
        </label>
      </div>
    </details>
  );
}

const WATER_WORDS = [
  ['unknown', 'Not said'],
  ['none', 'None'],
  ['running', 'Running'],
] as const;

/** Every line that a run may be on; the house line even where nobody named it. */
function linesOf(lines: NonNullable<Inspection['lines']>): readonly (readonly [string, string])[] {
  const named = lines.map(({ id, label }) => [id, label] as const);
  return named.some(([id]) => id === MAIN_LINE) ? named : [[MAIN_LINE, 'house to main'], ...named];
}

type PickProps = {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly onPick: (value: string) => void;
};

function Pick({ label, value, options, onPick }: PickProps) {
  return (
    <label>
      {label}
      <select value={value} onChange={(event) => onPick(event.target.value)}>
        {options.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
