import type { ProfileComparison } from '#core/assess-profiles';
import { nameFinding } from '#core/catalogue/defects/kinds';
import type { Profile } from '#core/model/job/job';
import { ACTION_WORDS, OVERALL_WORDS } from '#core/report/words';
import styles from './Findings.module.css';

const NAMES: Record<Profile, string> = {
  'maintain-first': 'Maintain first',
  'renew-first': 'Renew first',
};

type Props = {
  readonly profile: Profile;
  readonly comparison: ProfileComparison;
  readonly onProfile: (profile: Profile) => void;
};

/** The two judgement profiles side by side: where they part, and why. */
export function Profiles({ profile, comparison, onProfile }: Props) {
  const { overall, differ, other } = comparison;
  return (
    <div className={styles['profiles']}>
      <div className={styles['buttons']} role="group" aria-label="Judged by">
        {(['maintain-first', 'renew-first'] as const).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === profile}
            onClick={() => one !== profile && onProfile(one)}
          >
            {NAMES[one]}: {OVERALL_WORDS[overall[one]].toLowerCase()}
          </button>
        ))}
      </div>
      {differ.length === 0 ? (
        <p className={styles['hint']}>Both come to the same on every finding.</p>
      ) : (
        <table>
          <thead>
            <tr>
              <th scope="col">Finding</th>
              <th scope="col">{NAMES[profile]}</th>
              <th scope="col">{NAMES[other]}</th>
            </tr>
          </thead>
          <tbody>
            {differ.map((one) => (
              <tr key={one.number}>
                <th scope="row">
                  {one.number}, {nameFinding(one.kind).toLowerCase()}
                </th>
                <td>{one.action ? ACTION_WORDS[one.action[0]] : 'the same'}</td>
                <td>
                  {one.action ? ACTION_WORDS[one.action[1]] : 'other advice'}
                  {one.because[0] && <span>{one.because[0]}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
