import { lastAtOrBelow, memoOf } from '../base/memo';
import type { WaterState } from '../catalogue/vocabulary';
import type { Run } from '../model/job/run';
import type { Entry, EntryOf } from '../model/log/entry';
import type { FoldedLog } from '../model/log/fold';

/** Whether standing water was really standing when it was seen. */
export type WaterCheck = {
  readonly verified: boolean;
  /** State of the water when it was seen; `null` when nobody said. */
  readonly state: WaterState | null;
  /** Minutes between the water being turned off and the look; `null` when not known. */
  readonly drainedMin: number | null;
};

type WaterHistory = {
  readonly states: readonly { readonly atMs: number; readonly state: WaterState }[];
  /** When the head was last back at the datum; −∞ before it was. */
  readonly homeMs: number;
};

/** What the water did over a run, in order of time. A flow test leaves the water running. */
const readHistory = memoOf((log: FoldedLog): WaterHistory => {
  const states: { atMs: number; state: WaterState }[] = [];
  let homeMs = -Infinity;
  for (const entry of log.standing) {
    if (entry.kind === 'water') states.push({ atMs: Date.parse(entry.at), state: entry.state });
    if (entry.kind === 'flow-test') states.push({ atMs: Date.parse(entry.at), state: 'running' });
    if (entry.kind === 'home') homeMs = Math.max(homeMs, Date.parse(entry.at));
  }
  return { states, homeMs };
});

/** Whether a correction is no look into the line of its own: made when the head was home, or over a recording. */
const isAfterwards = ({ at, secondLook }: Entry, homeMs: number) =>
  secondLook !== undefined || (homeMs !== -Infinity && Date.parse(at) > homeMs);

/**
 * When an entry was observed, milliseconds. A correction made afterwards is no new look: it keeps the time of
 * what it corrects.
 *
 * @returns `null` where nobody knows: seen in a recording of which nobody said when it began.
 */
export function observedAtMs(entry: Entry, log: FoldedLog): number | null {
  const { homeMs } = readHistory(log);
  const passed = new Set<Entry>();
  let seen = entry;
  while (seen.replaces !== undefined && isAfterwards(seen, homeMs)) {
    const before = log.byId.get(seen.replaces);
    if (!before || passed.has(before)) break;
    passed.add(before);
    seen = before;
  }
  const { at, secondLook } = seen;
  return secondLook && Date.parse(at) >= Date.parse(secondLook.at) ? null : Date.parse(at);
}

const NOT_KNOWN: WaterCheck = { verified: false, state: null, drainedMin: null };

/**
 * What the water did when something was seen: by the latest `water` or `flow-test` entry before it, else
 * by what ran at the start. Only `drained` and `none` are standing water seen as it stands; where nobody
 * said anything, nothing is known.
 */
export function checkWater(
  entry: EntryOf<'defect'> | EntryOf<'clear'>,
  log: FoldedLog,
  { waterAtStart }: Pick<Run, 'waterAtStart'>,
): WaterCheck {
  const { states } = readHistory(log);
  const atMs = observedAtMs(entry, log);
  // Water that ran or drained may have stood otherwise at the moment that the picture shows.
  if (atMs === null && states.length > 0) return NOT_KNOWN;
  const latestIndex = atMs === null ? -1 : lastAtOrBelow(states, atMs, (state) => state.atMs);
  const latest = states[latestIndex];
  if (!latest) {
    if (waterAtStart === 'none') return { verified: true, state: 'none', drainedMin: null };
    return waterAtStart === 'running' ? { ...NOT_KNOWN, state: 'running' } : NOT_KNOWN;
  }
  if (latest.state === 'none') return { verified: true, state: 'none', drainedMin: null };
  if (latest.state !== 'drained') return { ...NOT_KNOWN, state: latest.state };
  const offMs = turnedOffMs(states, latestIndex);
  return {
    verified: true,
    state: 'drained',
    drainedMin: offMs === null || atMs === null ? null : (atMs - offMs) / 60_000,
  };
}

/**
 * When the water went off before it had drained: where "draining" was said; where it was not, the
 * last "running", which makes the drain time an upper bound. `null` when it was never on.
 */
function turnedOffMs(states: WaterHistory['states'], drainedIndex: number): number | null {
  let offMs: number | null = null;
  for (let index = drainedIndex; index >= 0; index -= 1) {
    const { state, atMs } = states[index]!;
    if (state === 'running') return offMs ?? atMs;
    if (state === 'draining') offMs = atMs;
  }
  return offMs;
}
