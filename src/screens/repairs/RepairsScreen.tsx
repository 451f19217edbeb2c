import { memo, useDeferredValue, useMemo } from 'react';
import { repairActions } from '#client/actions/repairs';
import { assessed } from '#core/assess';
import { countWaiting } from '#core/judge/waiting';
import type { StoredJob } from '#core/model/job/history';
import type { Preferences } from '#core/site/equipment';
import type { Light } from '#ui/TopBar';
import { JobBar } from '../device/JobBar';
import { useJob } from '../device/useJob';
import { useLight } from '../shared/useLight';
import styles from './Repairs.module.css';
import { RepairsWork } from './RepairsWork';

type Props = {
  readonly stored: StoredJob;
  readonly preferences: Preferences;
  readonly light: Light;
};

/** What to do about the findings: plans side by side, why the pick, and what each comes to over the years. */
export const RepairsScreen = memo(function RepairsScreen({
  stored,
  preferences,
  light: storedLight,
}: Props) {
  const job = useJob(stored);
  const [light, switchLight] = useLight(storedLight);
  // What is pressed answers at once; all that follows from it is drawn as there is time.
  const inspection = useDeferredValue(job.inspection);
  const { change } = job;
  const actions = useMemo(() => repairActions(change, inspection), [change, inspection]);
  const assessment = assessed(inspection);
  const waiting = useMemo(() => countWaiting(assessment), [assessment]);
  return (
    <div className={styles['screen']}>
      <JobBar job={job} stage="repairs" light={light} onLight={switchLight} waiting={waiting} />
      <RepairsWork
        inspection={inspection}
        assessment={assessment}
        preferences={preferences}
        actions={actions}
      />
    </div>
  );
});
