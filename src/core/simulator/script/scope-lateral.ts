import type { Inspection } from '../../model/job/inspection';
import { DEFAULT_PREFERENCES } from '../../site/equipment';
import { findStops } from '../fit';
import { jobFromLateral } from '../job-from-lateral';
import { layPath } from '../path';
import type { LateralTruth } from '../truth';
import { type RunPlan, scopeRun } from './scope-run';

const STARTS_AT = '2026-11-03T09:00:00-08:00';

/** Scopes a lateral by script, run after run, and returns the inspection it logged. */
export function scopeLateral(
  truth: LateralTruth,
  plans: readonly RunPlan[],
  seed: number,
): Inspection {
  const job = jobFromLateral(truth, {
    id: `${truth.id}-${seed}`,
    scheduledFor: STARTS_AT,
    inspector: 'Script',
    seed,
  });
  const runs = plans.map((plan, index) =>
    scopeRun(truth, plan, seed + index, hoursLater(STARTS_AT, index)),
  );
  return { ...job, job: { ...job.job, referenceRunId: runs[0]?.id ?? '' }, runs };
}

function hoursLater(instant: string, hours: number): string {
  return new Date(Date.parse(instant) + hours * 3_600_000).toISOString();
}

/** The runs that a sensible inspector makes: every access, every way, with the largest head that gets far. */
export function planRuns(truth: LateralTruth): RunPlan[] {
  const { heads } = DEFAULT_PREFERENCES.equipment;
  const ways = truth.accesses
    .filter(({ usable }) => usable)
    .flatMap(({ id, ways: facings }) => facings.map((facing) => ({ accessId: id, facing })));
  return ways.map(({ accessId, facing }, index) => {
    const path = layPath(truth, accessId, facing);
    const getsFt = heads.map(
      ({ diameterIn }) => findStops(path, { headDiameterIn: diameterIn, aid: 'none' })[0]!.atFt,
    );
    const farthest = Math.max(...getsFt);
    const head = heads.find((_, at) => getsFt[at]! >= farthest - 0.5)!;
    const fixture = truth.fixtures.find(({ lineId }) => lineId === path.access.lineId);
    return {
      runId: `R${index + 1}`,
      accessId,
      facing,
      head: head.name,
      aid: 'none',
      zeroFt: 3,
      ...(fixture ? { fixture: fixture.name } : {}),
    };
  });
}
