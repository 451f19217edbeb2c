import type { AccessPoint } from '#core/job/access-point';
import { applyFacts, type FactsChange } from '#core/job/facts';
import type { Inspection } from '#core/job/inspection';
import type { Run } from '#core/job/run';
import type { Entry } from '#core/log/entry';

/** One thing that was done on this device and that the server is to know. */
export type Change =
  | { readonly what: 'entry'; readonly runId: string; readonly entry: Entry }
  | { readonly what: 'run'; readonly setup: Omit<Run, 'entries'> }
  | { readonly what: 'access'; readonly access: AccessPoint }
  | { readonly what: 'facts'; readonly facts: FactsChange }
  | { readonly what: 'media'; readonly mediaId: string };

/** A change as the device keeps it. */
export type Kept = {
  /** The order in which things were done on this device. */
  readonly seq: number;
  readonly jobId: string;
  /** The same for the same thing, so that nothing is kept twice. */
  readonly key: string;
  readonly change: Change;
  /** `sent`: the server has it; kept until a page from the server shows it. */
  readonly state: 'waiting' | 'sent' | 'refused';
  /** Why the server refused it; it is kept until the inspector takes it out. */
  readonly refused?: string;
};

/** What a change is known by: one key for each entry and still, one for each version of a set-up. */
export function keyOf(jobId: string, change: Change, nonce: string): string {
  switch (change.what) {
    case 'entry':
      return `${jobId} entry ${change.entry.id}`;
    case 'media':
      return `${jobId} media ${change.mediaId}`;
    default:
      return `${jobId} ${change.what} ${nonce}`;
  }
}

const put = <T extends { readonly id: string }>(list: readonly T[], item: T): T[] =>
  list.some(({ id }) => id === item.id)
    ? list.map((one) => (one.id === item.id ? item : one))
    : [...list, item];

/**
 * What a page knows after the store changed. Another tab may forget what its own, newer page shows; this
 * page still needs it. Only what was refused can be taken out.
 */
export function mergeKept(before: readonly Kept[], now: readonly Kept[]): Kept[] {
  const keys = new Set(now.map(({ key }) => key));
  const forgotten = before
    .filter(({ key, state }) => !keys.has(key) && state !== 'refused')
    .map((kept): Kept => ({ ...kept, state: 'sent' }));
  return [...forgotten, ...now].sort((a, b) => a.seq - b.seq);
}

/** Lays changes of this device over what the server has, in order. What is there already stays once. */
export function applyChanges(inspection: Inspection, changes: readonly Change[]): Inspection {
  let after = inspection;
  const added = new Map<string, Entry[]>();
  for (const change of changes) {
    if (change.what === 'entry') {
      const list = added.get(change.runId);
      if (list) list.push(change.entry);
      else added.set(change.runId, [change.entry]);
    } else if (change.what === 'run') {
      const known = after.runs.find(({ id }) => id === change.setup.id);
      const run: Run = { ...change.setup, entries: known?.entries ?? [] };
      const referenceRunId = after.job.referenceRunId || run.id;
      after = { ...after, job: { ...after.job, referenceRunId }, runs: put(after.runs, run) };
    } else if (change.what === 'access') {
      after = { ...after, accessPoints: put(after.accessPoints, change.access) };
    } else if (change.what === 'facts') {
      after = applyFacts(after, change.facts);
    }
  }
  if (added.size === 0) return after;
  return { ...after, runs: after.runs.map((run) => withEntries(run, added.get(run.id) ?? [])) };
}

function withEntries(run: Run, entries: readonly Entry[]): Run {
  const known = new Set(run.entries.map(({ id }) => id));
  const fresh = entries.filter(({ id }) => !known.has(id) && known.add(id));
  return fresh.length === 0 ? run : { ...run, entries: [...run.entries, ...fresh] };
}

/** Whether what the server shows holds a change already, so that this device may forget it. */
export function isShown(inspection: Inspection, change: Change): boolean {
  if (change.what === 'entry') {
    const run = inspection.runs.find(({ id }) => id === change.runId);
    return run?.entries.some(({ id }) => id === change.entry.id) ?? false;
  }
  const before = JSON.stringify(inspection);
  return change.what === 'media' || JSON.stringify(applyChanges(inspection, [change])) === before;
}
