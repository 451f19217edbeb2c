import { applyEdits, doMeet, type Edit, sameJson, valueAt } from '#core/model/job/edits';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import type { Entry } from '#core/model/log/entry';

/** One thing that was done on this device and that the server is to know. */
export type Change =
  | { readonly what: 'entry'; readonly runId: string; readonly entry: Entry }
  | { readonly what: 'edits'; readonly edits: readonly Edit[] }
  | { readonly what: 'media'; readonly mediaId: string };

/**
 * Where a change is in its life: kept on this device; acknowledged by the server, which named it; shown by a
 * page of the server, and held on for some time in case that is restored from a backup; refused, with why;
 * or superseded, by a later change of the same fields, before it was ever taken.
 */
export type KeptState = 'kept' | 'acknowledged' | 'shown' | 'refused' | 'superseded';

/** What the server said when it took a change. */
export type Acknowledged = {
  /** The job's revision with it. */
  readonly rev: number;
  readonly era: string;
  /** The server's time. */
  readonly at: string;
};

/** A change as this device keeps it. */
export type Kept = {
  /** The order in which things were done on this device. */
  readonly seq: number;
  readonly jobId: string;
  /** The change's own id: that of the entry or the still, else its own. Nothing is kept twice. */
  readonly id: string;
  /** The Chert that it is meant for. */
  readonly installation: string;
  /** The account of the one who did it; absent where Chert had no people. It is sent under no other. */
  readonly by?: string;
  /** The revision of the job that the screen showed. */
  readonly base: number;
  /** When it was done, by this device's clock. */
  readonly saidAt: string;
  readonly change: Change;
  readonly state: KeptState;
  /** Set once the server has named it; stays when a restored server lacks it and it is sent again. */
  readonly ack?: Acknowledged;
  /** Why the server refused it. */
  readonly refused?: string;
};

/** What the server showed of a job last. */
export type Base = {
  readonly jobId: string;
  readonly installation: string;
  readonly era: string;
  readonly rev: number;
  readonly inspection: Inspection;
};

/** A server that was restored from a backup begins a new era; eras are ULIDs, so later ones sort later. */
export const isNewer = (a: Pick<Base, 'era' | 'rev'>, b: Pick<Base, 'era' | 'rev'>): boolean =>
  a.era === b.era ? a.rev > b.rev : a.era > b.era;

/** The newer of two states of a job by the same server; the second where another server has it. */
export function latestBase(held: Base | null, shown: Base): Base {
  return held && held.installation === shown.installation && isNewer(held, shown) ? held : shown;
}

/** Whether what the server shows holds an acknowledged change already. */
const isShown = ({ ack }: Kept, base: Base) => ack !== undefined && !isNewer(ack, base);

/** Acknowledged changes that the server shows by now. */
export const newlyShown = (base: Base, kept: readonly Kept[]): Kept[] =>
  kept.filter((one) => one.state === 'acknowledged' && !isForeign(one, base) && isShown(one, base));

/** Whether a change is for another Chert than the one that shows the page. */
export const isForeign = ({ installation }: Pick<Kept, 'installation'>, base: Base): boolean =>
  installation !== base.installation;

/**
 * The changes that a screen lays over what the server shows, in order: those that the server has taken
 * since, as it took them, then those that it does not have yet, as they were done. What the server shows,
 * refused or superseded is never laid: nothing old comes back over something newer.
 */
export function changesOver(base: Base, kept: readonly Kept[]): Kept[] {
  const own = kept.filter((one) => !isForeign(one, base));
  const taken = own.filter((one) => one.state === 'acknowledged' && !isShown(one, base));
  const waiting = own.filter(({ state }) => state === 'kept');
  return [
    ...taken.sort((a, b) => a.ack!.rev - b.ack!.rev || a.seq - b.seq),
    ...waiting.sort((a, b) => a.seq - b.seq),
  ];
}

/** What a screen shows of a job: the server's last word, with what this device did since laid over it. */
export const screenOf = (base: Base, kept: readonly Kept[]): Inspection =>
  applyChanges(
    base.inspection,
    changesOver(base, kept).map(({ change }) => change),
  );

/** Lays changes over an inspection, in order. An entry that is there already stays once. */
export function applyChanges(inspection: Inspection, changes: readonly Change[]): Inspection {
  const added = new Map<string, Entry[]>();
  const edits: Edit[] = [];
  for (const change of changes) {
    if (change.what === 'edits') edits.push(...change.edits);
    if (change.what !== 'entry') continue;
    const list = added.get(change.runId);
    if (list) list.push(change.entry);
    else added.set(change.runId, [change.entry]);
  }
  const after = applyEdits(inspection, edits);
  if (added.size === 0) return after;
  return { ...after, runs: after.runs.map((run) => withEntries(run, added.get(run.id) ?? [])) };
}

function withEntries(run: Run, entries: readonly Entry[]): Run {
  const known = new Set(run.entries.map(({ id }) => id));
  const fresh = entries.filter(({ id }) => !known.has(id) && known.add(id));
  return fresh.length === 0 ? run : { ...run, entries: [...run.entries, ...fresh] };
}

/** Whether every field that one change sets is set again by another. */
function isCoveredBy(change: Change, later: Change): boolean {
  if (change.what !== 'edits' || later.what !== 'edits') return false;
  return change.edits.every(({ path }) =>
    later.edits.some((edit) => edit.path.length <= path.length && doMeet(edit.path, path)),
  );
}

/** Refused changes whose fields were said anew since: nothing of them is left to mend. */
export function superseded(kept: readonly Kept[]): Kept[] {
  return kept.filter(
    (one) =>
      one.state === 'refused' &&
      kept.some(
        (later) =>
          later.seq > one.seq &&
          later.state !== 'refused' &&
          later.state !== 'superseded' &&
          isCoveredBy(one.change, later.change),
      ),
  );
}

/** What a restored server lacks of a change; `null` when it has all that still counts. */
function lackOf({ inspection }: Base, { change, seq }: Kept, mine: readonly Kept[]): Change | null {
  // Of a still the server shows nothing.
  if (change.what === 'media') return change;
  if (change.what === 'entry') {
    const run = inspection.runs.find(({ id }) => id === change.runId);
    return run?.entries.some(({ id }) => id === change.entry.id) ? null : change;
  }
  // What this device has said anew since does not count any more: it would come back over it.
  const later = mine.filter((one) => one.seq > seq && one.state !== 'refused');
  const edits = change.edits.filter(
    (edit) =>
      !sameJson(valueAt(inspection, edit.path), edit.value) &&
      !later.some((one) => isCoveredBy({ what: 'edits', edits: [edit] }, one.change)),
  );
  return edits.length > 0 ? { what: 'edits', edits } : null;
}

/**
 * What becomes of the changes that a server took when it shows itself restored to an older state: what it
 * lacks is offered again.
 *
 * @param mine everything that this device holds of the job.
 */
export function afterRestore(
  base: Base,
  mine: readonly Kept[],
): { readonly again: { readonly kept: Kept; readonly change: Change }[]; readonly there: Kept[] } {
  const older = mine.filter(
    (one) =>
      (one.state === 'acknowledged' || one.state === 'shown') &&
      !isForeign(one, base) &&
      one.ack!.era < base.era,
  );
  const lacks = older.map((kept) => ({ kept, change: lackOf(base, kept, mine) }));
  return {
    again: lacks.flatMap(({ kept, change }) => (change ? [{ kept, change }] : [])),
    there: lacks.flatMap(({ kept, change }) => (change ? [] : [kept])),
  };
}

/** The acknowledgement of what a restored server has after all. */
export const ackAfterRestore = ({ ack }: Kept, base: Base): Acknowledged => ({
  ...ack!,
  era: base.era,
  rev: 0,
});

/** How long a device keeps what it sent, ms: a backup that is restored is hardly older. */
export const KEEP_SENT_MS = 30 * 24 * 3_600_000;

/** Changes that this device may forget, at a time by its own clock, ms: sent and shown long ago. */
export function forgettable(kept: readonly Kept[], nowMs: number): Kept[] {
  return kept.filter(
    ({ state, ack, saidAt }) =>
      (state === 'shown' || state === 'superseded') &&
      nowMs - Date.parse(ack?.at ?? saidAt) > KEEP_SENT_MS,
  );
}
