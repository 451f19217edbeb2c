import type { Entry, EntryOf } from '../log/entry';
import type { FoldedLog } from '../log/fold';
import type { WaterState } from '../log/vocabulary';

/** Whether standing water was really standing when it was seen. */
export type WaterCheck = {
  readonly verified: boolean;
  /** State of the water when it was seen; `null` when none was ever run. */
  readonly state: WaterState | null;
  /** Minutes between the water being turned off and the look; `null` when not known. */
  readonly drainedMin: number | null;
};

/**
 * When an entry was observed, milliseconds. A correction made after the head came home is no new
 * look: it keeps the time of what it corrects.
 */
export function observedAtMs(entry: Entry, log: FoldedLog): number {
  const homeMs = log.standing
    .filter((other) => other.kind === 'home')
    .reduce((last, home) => Math.max(last, Date.parse(home.at)), -Infinity);
  let seen = entry;
  const passed = new Set<string>();
  while (seen.replaces !== undefined && Date.parse(seen.at) > homeMs && !passed.has(seen.id)) {
    if (homeMs === -Infinity) break;
    passed.add(seen.id);
    const before = log.byId.get(seen.replaces);
    if (!before) break;
    seen = before;
  }
  return Date.parse(seen.at);
}

/**
 * Checks standing water against the state of the water when it was seen.
 *
 * Verified when the latest `water` or `flow-test` entry of that run before it is `drained`, or when
 * no water was ever run in that run. A flow test leaves the water running.
 */
export function checkWater(entry: EntryOf<'defect'>, log: FoldedLog): WaterCheck {
  const atMs = observedAtMs(entry, log);
  const states = log.standing.flatMap((other) => {
    if (other.kind === 'water') return [{ atMs: Date.parse(other.at), state: other.state }];
    if (other.kind !== 'flow-test') return [];
    return [{ atMs: Date.parse(other.at), state: 'running' as const }];
  });
  if (states.length === 0) return { verified: true, state: null, drainedMin: null };
  const before = states.filter((state) => state.atMs <= atMs);
  const latest = before.at(-1);
  if (!latest) return { verified: false, state: 'running', drainedMin: null };
  if (latest.state !== 'drained') {
    return { verified: false, state: latest.state, drainedMin: null };
  }
  // Water goes off where "draining" was said; where it was not, the last "running" is the latest
  // that it can have been on, which makes the drain time an upper bound.
  const lastRun = before.findLastIndex(({ state }) => state === 'running');
  const off =
    before.slice(lastRun + 1).find(({ state }) => state === 'draining') ?? before[lastRun];
  return { verified: true, state: 'drained', drainedMin: off ? (atMs - off.atMs) / 60_000 : null };
}
