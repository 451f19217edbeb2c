import type { UseFormRegister } from 'react-hook-form';
import { type NumberKey, NUMBERS } from '#client/actions/judgement-fields';
import type { SettingsFields } from '#client/actions/settings-fields';
import { MATERIALS } from '#core/catalogue/materials/index';
import { materialOf, nameMaterial } from '#core/catalogue/materials/kinds';
import {
  THRESHOLD_KEYS,
  THRESHOLD_TABLE,
  type ThresholdUnit,
} from '#core/catalogue/severity/thresholds';
import { SERVICE_LIFE_SOURCE } from '#core/lateral/age';
import { DEFAULT_SETTINGS } from '#core/model/job/settings';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

const NUMBER_LABELS: Readonly<Record<NumberKey, string>> = {
  mergeFt: 'Out and back match within, ft',
  minDrainMin: 'Long enough to drain, min',
  eyeSizeIn: 'An estimated size may be off by, in',
  eyeShareRatio: 'An estimated share may be off by',
  transmitterHeightIn: 'Transmitter over the invert, in',
  transmitterBehindIn: 'Transmitter behind the lens, in',
};
const UNITS: Readonly<Record<ThresholdUnit, string>> = {
  share: '',
  in: ' in',
  ft: ' ft',
  count: '',
};
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** How new jobs are judged: profile, responsibility, thresholds and usual lives, Chert’s own beside each. */
export function JudgementPart({
  register,
}: {
  readonly register: UseFormRegister<SettingsFields>;
}) {
  return (
    <section className={styles['part']} aria-labelledby="judge-title">
      <h2 id="judge-title">How you judge</h2>
      <p>
        What a new job starts with. A job keeps what it started with; on its Findings you can switch
        it to the current settings. A field left empty uses Chert’s own number.
      </p>
      <div className={styles['grid']}>
        <Labelled label="Profile">
          <select {...register('judgement.profile')}>
            <option value="maintain-first">Maintain first</option>
            <option value="renew-first">Renew first</option>
          </select>
        </Labelled>
        <Labelled label="The owner is responsible">
          <select {...register('judgement.responsibility')}>
            <option value="to-main">to the main</option>
            <option value="to-property-line">to the property line</option>
          </select>
        </Labelled>
        <Labelled label="Stations are measured on">
          <select {...register('judgement.trustPass')}>
            <option value="back">the way back</option>
            <option value="out">the way out</option>
          </select>
        </Labelled>
        <Labelled label="Cable slip is spread">
          <select {...register('judgement.slipOn')}>
            <option value="even">evenly</option>
            <option value="out">on the way out</option>
          </select>
        </Labelled>
        {NUMBERS.map((key) => (
          <Labelled key={key} label={NUMBER_LABELS[key]} hint={`Chert: ${DEFAULT_SETTINGS[key]}`}>
            <input inputMode="decimal" {...register(`judgement.numbers.${key}`)} />
          </Labelled>
        ))}
      </div>
      <details className={styles['more']}>
        <summary>Thresholds of grades and rules</summary>
        <div className={styles['thresholds']}>
          {THRESHOLD_KEYS.map((key) => {
            const [value, unit, says] = THRESHOLD_TABLE[key];
            return (
              <label key={key}>
                <span>{capital(says.replace(/^… /, 'The step down holds '))}</span>
                <input inputMode="decimal" {...register(`judgement.thresholds.${key}`)} />
                <em>
                  Chert: {value}
                  {UNITS[unit]}
                </em>
              </label>
            );
          })}
        </div>
      </details>
      <details className={styles['more']}>
        <summary>Usual service life of each material, years</summary>
        <p>{SERVICE_LIFE_SOURCE}.</p>
        <div className={styles['lives']}>
          {MATERIALS.flatMap((material) => {
            const usual = materialOf(material).service;
            if (!usual) return [];
            const name = capital(nameMaterial(material));
            return [
              <div key={material} role="group" aria-label={name}>
                <span>{name}</span>
                <input
                  aria-label={`${name}, from`}
                  inputMode="numeric"
                  {...register(`judgement.lives.${material}.from`)}
                />
                <span>to</span>
                <input
                  aria-label={`${name}, to`}
                  inputMode="numeric"
                  {...register(`judgement.lives.${material}.to`)}
                />
                <em>
                  Chert: {usual.life.from} to {usual.life.to}
                </em>
              </div>,
            ];
          })}
        </div>
      </details>
    </section>
  );
}
