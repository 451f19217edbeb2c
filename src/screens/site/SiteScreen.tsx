import { memo, useState } from 'react';
import { ulid } from 'ulid';
import { cautionsFor } from '#core/cautions';
import type { AccessPoint } from '#core/model/job/access-point';
import type { StoredJob } from '#core/model/job/history';
import { accessNameAt, freeLabel, labelOf } from '#core/model/job/labels';
import type { Preferences } from '#core/site/equipment';
import { rankAccess } from '#core/site/rank-access';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import form from '../shared/form.module.css';
import { useLight } from '../shared/useLight';
import { AccessCard } from './AccessCard';
import { AccessForm } from './AccessForm';
import { FactsForm } from './FactsForm';
import { History } from './History';
import styles from './SiteScreen.module.css';
import { Told } from './Told';
import { Walk } from './Walk';

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

/** Arriving: the ways in, in the order to try them; what stands over the line; the facts of the job. */
export const SiteScreen = memo(function SiteScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const { inspection } = job;
  const { accessPoints, runs } = inspection;
  const [light, switchLight] = useLight(storedLight);
  const [isAdding, setAdding] = useState(stored.inspection.accessPoints.length === 0);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const usedIds = new Set(runs.map(({ accessPointId }) => accessPointId));
  const ranked = rankAccess(accessPoints, preferences.equipment, usedIds);
  const chosen = ranked.find(({ access }) => access.id === chosenId) ?? ranked[0];
  const keep = (access: AccessPoint) => job.change({ what: 'access', access });
  const freshLabel = freeLabel(accessPoints, accessNameAt);
  const fresh: AccessPoint = {
    id: freshLabel,
    label: freshLabel,
    kind: 'cleanout',
    diameterIn: 4,
    material: 'abs',
    place: '',
    zone: 'yard',
    usable: true,
    obstacle: null,
  };

  return (
    <div className={styles['screen']}>
      <JobBar job={job} stage="site" light={light} onLight={switchLight} />
      <main className={styles['columns']}>
        <div className={styles['main']}>
          <section aria-labelledby="ways-in" className={styles['ways']}>
            <div className={styles['heading']}>
              <h1 id="ways-in">Access points, in the order to try them</h1>
              {!isAdding && (
                <button className={form['plain']} type="button" onClick={() => setAdding(true)}>
                  Add an access point
                </button>
              )}
            </div>
            {ranked.length === 0 && (
              <p className={styles['hint']}>
                Walk round the house and add what the camera could go in by: cleanouts first, then a
                vent or a toilet. Chert puts them in order and says why.
              </p>
            )}
            {isAdding && (
              <div className={styles['adding']}>
                <h2>Access point {freshLabel}</h2>
                <AccessForm
                  key={fresh.id}
                  access={fresh}
                  onAccess={(access) => {
                    keep({ ...access, id: ulid() });
                    setAdding(false);
                  }}
                  {...(ranked.length > 0 ? { onCancel: () => setAdding(false) } : {})}
                />
              </div>
            )}
            <ol className={styles['cards']}>
              {ranked.map((one, index) => (
                <AccessCard
                  key={one.access.id}
                  jobId={inspection.job.id}
                  order={index + 1}
                  ranked={one}
                  isChosen={one.access.id === chosen?.access.id}
                  onChoose={() => setChosenId(one.access.id)}
                  onAccess={keep}
                />
              ))}
            </ol>
            {ranked.length > 0 && (
              <details className={styles['how']}>
                <summary>How the reach is estimated</summary>
                <p>
                  A rod is pushed. On each straight its push falls by friction: friction × weight of
                  the rod × feet. Round each bend it falls by the capstan relation of Euler and
                  Eytelwein, P₂ = P₁·e^(−μθ): two 90° bends in iron leave a fifth of it. The head
                  stops where the push left no longer moves it. The rod’s own snaking is left out,
                  so expect less. Push, rod and heads are those of <a href="/settings">the rig</a>.
                </p>
              </details>
            )}
          </section>
          <section className={styles['part']} aria-labelledby="facts-title">
            <h2 id="facts-title">The job and the house</h2>
            <FactsForm
              inspection={inspection}
              onFacts={(facts) => job.change({ what: 'facts', facts })}
            />
          </section>
          <Told inspection={inspection} onFacts={(facts) => job.change({ what: 'facts', facts })} />
          <section className={styles['part']} aria-labelledby="history-title">
            <h2 id="history-title">History</h2>
            <History inspection={inspection} />
          </section>
        </div>
        <div className={styles['side']}>
          {chosen && (
            <section className={styles['cautions']} aria-labelledby="cautions-title">
              <h2 id="cautions-title">Before you open {labelOf(chosen.access)}</h2>
              <ul>
                {cautionsFor(chosen.access).map(({ about, text }) => (
                  <li key={about}>
                    <b>{about}:</b> {text}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Walk
            inspection={inspection}
            onSurroundings={(surroundings) =>
              job.change({ what: 'facts', facts: { property: { surroundings } } })
            }
          />
        </div>
      </main>
    </div>
  );
});
