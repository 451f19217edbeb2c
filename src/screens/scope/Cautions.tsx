import { cautionsFor } from '#core/cautions';
import type { AccessPoint } from '#core/model/job/access-point';
import styles from './RunSetup.module.css';

/** What to mind before this opening is used. */
export function Cautions({ access }: { readonly access: Pick<AccessPoint, 'kind' | 'zone'> }) {
  return (
    <aside className={styles['cautions']} aria-labelledby="cautions">
      <h2 id="cautions">Before you open anything</h2>
      <dl>
        {cautionsFor(access).map(({ about, text }) => (
          <div key={about}>
            <dt>{about}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
