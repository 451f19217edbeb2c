import { ulid } from 'ulid';
import { type Deed, editsOf } from '#core/model/job/edits';
import type { Overwritten } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import type { Entry, EntryDraft } from '#core/model/log/entry';
import type { Person } from '#core/office/roles';
import { type Base, type Change, isForeign, type Kept } from './change';
import { deviceAheadMs, timeOfEntry } from './clock';
import { UNKNOWN_INSTALLATION } from './old-store';
import type { SaveState } from './sender';
import { mark } from './store';
import { localInstant } from './time';

/** What a screen does to a job: the change of a run, an access point or facts, or an entry as it is. */
export type Doing =
  Deed | { readonly what: 'entry'; readonly runId: string; readonly entry: Entry };

/** A job as a screen has it, and what it can do to it. */
export type JobOnDevice = {
  /** What the server has, with everything done on this device laid over it. */
  readonly inspection: Inspection;
  readonly save: SaveState;
  /** Whether something that was asked for is still being made, a still say: nothing holds it yet. */
  readonly isAtWork: boolean;
  /** Says so while something is made that belongs to the job. */
  readonly during: <Made>(work: Promise<Made>) => Promise<Made>;
  /** The same this very moment, for what ends long after the press that began it. */
  readonly latest: () => Inspection;
  /** What the server does not have yet, or refused. */
  readonly waiting: readonly Kept[];
  /** What waits for another Chert than this one. */
  readonly foreign: readonly Kept[];
  /** What two devices set without seeing each other, the latest first. */
  readonly told: readonly Overwritten[];
  /** What came in after somebody had lost the job, as sentences. */
  readonly late: readonly string[];
  /** Who is signed in; `null` where Chert has no people. */
  readonly who: Person | null;
  /** Why nothing may be done to it here; `null` where something may. */
  readonly readOnly: string | null;
  /** Why this device could not keep something; it is sent from memory, and lost with the page. */
  readonly trouble: string | null;
  /** Logs as of now, or as of `laterMs` after it: a simulated rig lets minutes go by. */
  readonly append: (
    runId: string,
    drafts: readonly EntryDraft[],
    laterMs?: number,
  ) => readonly Entry[];
  readonly change: (...doing: readonly Doing[]) => void;
  /** Keeps a still or a voice note; returns its id. */
  readonly addMedia: (blob: Blob) => Promise<string>;
  /** Keeps one piece of a recording, to be sent behind everything else. */
  readonly addPiece: (recordingId: string, number: number, blob: Blob) => Promise<void>;
  /** Sends what was refused again, mended or as it is; `null` takes it out. */
  readonly settle: (refused: Kept, change: Kept['change'] | null) => void;
  /** Takes what waits for another Chert as meant for this one. */
  readonly takeOver: () => void;
};

/** A change that is not kept yet. */
export type Fresh = Omit<Kept, 'seq' | 'jobId' | 'state'>;

/**
 * What screens do, as changes over the inspection that they showed. Where nothing differs there is none.
 * Several in one go are laid one over the other.
 */
export function changesOf(inspection: Inspection, doing: readonly Doing[]): Change[] {
  return doing.flatMap((one): Change[] => {
    if (one.what === 'entry') return [one];
    const edits = editsOf(inspection, one);
    return edits.length > 0 ? [{ what: 'edits', edits }] : [];
  });
}

/**
 * Gives changes their ids and says over what, when and by whom they were made.
 *
 * @param by the account of whoever is signed in.
 */
export function freshen(
  changes: readonly Change[],
  base: Base,
  nowMs: number,
  by?: string,
): Fresh[] {
  const saidAt = localInstant(new Date(nowMs));
  return changes.map((change) => ({
    id:
      change.what === 'entry' ? change.entry.id : change.what === 'media' ? change.mediaId : ulid(),
    installation: base.installation,
    base: base.rev,
    ...(by === undefined ? {} : { by }),
    saidAt,
    change,
  }));
}

/**
 * Entries of drafts, as of now or `laterMs` after it, each after what stands in its run's log.
 *
 * @param nowMs this device's clock.
 */
export function entriesOf(
  inspection: Inspection,
  runId: string,
  drafts: readonly EntryDraft[],
  nowMs: number,
): Entry[] {
  const log = inspection.runs.find(({ id }) => id === runId)?.entries ?? [];
  let lastMs = log.reduce((last, { at }) => Math.max(last, Date.parse(at)), -Infinity);
  return drafts.map((draft) => {
    const { atMs, deviceAtMs } = timeOfEntry(nowMs, deviceAheadMs(), lastMs);
    lastMs = atMs;
    const at = localInstant(new Date(atMs));
    const own = deviceAtMs === null ? {} : { deviceAt: localInstant(new Date(deviceAtMs)) };
    return { id: ulid(), at, ...own, ...draft };
  });
}

/** Takes what an older version kept, which knew of one Chert only, as meant for the one that shows the job. */
export async function adopt(base: Base, kept: readonly Kept[]): Promise<void> {
  const unowned = kept.filter(({ installation }) => installation === UNKNOWN_INSTALLATION);
  if (unowned.length === 0) return;
  await mark(base.jobId, unowned, { state: 'kept', installation: base.installation });
}

/** What waits on this device for another Chert than the one that shows the job. */
export const foreignOf = (base: Base, kept: readonly Kept[]): Kept[] =>
  kept.filter(
    (one) =>
      one.state === 'kept' && one.installation !== UNKNOWN_INSTALLATION && isForeign(one, base),
  );
