import type { JobOnDevice } from '#client/job-on-device';
import type { Decision } from '#core/model/job/inspection';

/** Laying decisions into a job, and taking them out, several as one change. */
export const deciding = (change: JobOnDevice['change']) => {
  const lay = (decisions: readonly (readonly [string, Decision | null])[]) =>
    change({ what: 'facts', facts: { decisions: Object.fromEntries(decisions) } });
  return {
    put: (...decisions: readonly Decision[]) => lay(decisions.map((one) => [one.id, one])),
    drop: (...ids: readonly string[]) => lay(ids.map((id) => [id, null])),
  };
};
