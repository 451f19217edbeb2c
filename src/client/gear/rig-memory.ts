import type { Run } from '#core/model/job/run';
import type { RigPlace } from './rig-gear';

/** Which lateral the rig is in for a run, and where its camera stands. */
export type RigMemory = {
  readonly lateralId: string;
  readonly seed: number;
  readonly accessId: string;
  readonly place: RigPlace;
  /** Minutes that were let go by in the rig, milliseconds. */
  readonly laterMs: number;
};

const keyOf = (jobId: string, runId: string) => `chert:rig:${jobId}:${runId}`;

/** What this device remembers of the rig in a run; `null` when it was not open. */
export function recallRig(jobId: string, runId: string): RigMemory | null {
  try {
    const text = window.localStorage.getItem(keyOf(jobId, runId));
    return text === null ? null : (JSON.parse(text) as RigMemory);
  } catch {
    return null;
  }
}

/** Keeps, or with `null` forgets, where the rig is. A device without room forgets: nothing logged is lost. */
export function rememberRig(jobId: string, runId: string, memory: RigMemory | null): void {
  try {
    if (memory) window.localStorage.setItem(keyOf(jobId, runId), JSON.stringify(memory));
    else window.localStorage.removeItem(keyOf(jobId, runId));
  } catch {
    // The rig opens at the rim next time.
  }
}

/** Where the camera of a run stands that was never in the rig: at its zero, or where its log left the counter. */
export function placeFromLog(
  run: Run,
  counterFt: number,
  pass: RigPlace['pass'],
  riserFt: number,
): RigPlace {
  // A counter zeroed at the rim begins there; otherwise the head already lies at the foot of the riser.
  const zeroAtFt = run.zero.at === 'rim' ? 0 : riserFt;
  const headFt = Math.max(0, zeroAtFt + counterFt - run.zero.readingFt);
  return { headFt, readingFt: counterFt, farthestFt: headFt, pass };
}
