import { THRESHOLD_KEYS, THRESHOLD_TABLE } from '#core/catalogue/severity/thresholds';
import { writeCanonical } from '#core/interchange/canonical';
import type { FactsChange } from '#core/model/job/facts';
import type { Inspection } from '#core/model/job/inspection';
import { OWN_OF_JOB } from '#core/model/job/settings';
import type { Preferences } from '#core/site/equipment';
import styles from './Findings.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly preferences: Preferences;
  readonly onSettings: (settings: NonNullable<FactsChange['settings']>) => void;
};

/** Where this job's numbers differ from Chert's, and the way to take over the inspector's of today. */
export function JobThresholds({ inspection, preferences, onSettings }: Props) {
  const own = inspection.settings.thresholds ?? {};
  const differing = THRESHOLD_KEYS.filter((key) => own[key] !== undefined);
  const mine = preferences.judgement?.settings ?? {};
  const judged = Object.fromEntries(
    Object.entries(inspection.settings).filter(([key]) => !OWN_OF_JOB.includes(key as never)),
  );
  const isMine = writeCanonical(mine) === writeCanonical(judged);
  // What the job has and the inspector's settings have not goes back to Chert's own.
  const nothing = Object.fromEntries(Object.keys(judged).map((key) => [key, null]));
  return (
    <div className={styles['thresholds']}>
      {differing.length === 0 ? (
        <p className={styles['hint']}>By Chert’s own thresholds.</p>
      ) : (
        <ul className={styles['plainList']}>
          {differing.map((key) => (
            <li key={key}>
              {THRESHOLD_TABLE[key][2]}: <b>{own[key]}</b> (Chert: {THRESHOLD_TABLE[key][0]})
            </li>
          ))}
        </ul>
      )}
      {!isMine && (
        <div className={styles['buttons']}>
          <button type="button" onClick={() => onSettings({ ...nothing, ...mine })}>
            Judge this job by my settings of today
          </button>
        </div>
      )}
      <p>
        <a href="/settings">Change my settings</a>
      </p>
    </div>
  );
}
