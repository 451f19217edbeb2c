import type { Database } from 'better-sqlite3';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { type FileIds, withFileIds } from '#core/interchange/safe-ids';
import { type Booking, startInspection } from '#core/model/job/booking';
import type { Happened } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import type { Entry } from '#core/model/log/entry';
import type { Right } from '#core/office/roles';
import { noteDeed } from '../deeds';
import { refuseNobody } from '../edit-checks';
import { type EditsOutcome, listOverwritten, type SentEdits, storeEdits } from '../edits';
import { logEntries as logInRun } from '../entries';
import { holdChange } from '../held-work';
import { listHistory } from '../history';
import { refuseConflict, refuseUnknown } from '../http/answer';
import * as inspections from '../inspections';
import * as jobs from '../jobs';
import { noteIfLate } from '../late-work';
import { hasPart, type Stored } from '../parts';
import { ownedBy } from '../people/own-job';
import { loadPreferences } from '../preferences';
import { noteAccess } from '../security/access-log';
import { callerHasJobRight, personOf } from '../security/caller';
import { noteHanded } from '../security/custody';
import { loadStoredJob } from '../stored-job';
import { packJob as pack } from '../zip';
import { jobService, service, type ServiceCall } from './service';

/** All jobs, the latest appointment first. */
export const listJobs = service('read', ({ db }) => jobs.listJobs(db));

/** A job's revision; `null` when there is no such job. */
export const jobRevision = jobService('read', ({ db }, jobId) => jobs.revOf(db, jobId));

/** A job's row, whatever its log is like; `null` when there is no such job. */
export const findJobRow = jobService('read', ({ db }, jobId) => jobs.findJob(db, jobId));

/** Everything stored about a job, as its file has it; `null` when there is no such job. */
export const loadInspection = jobService('read', ({ db }, jobId) =>
  inspections.loadInspection(db, jobId),
);

/** What a job is without its logs; `null` when there is no such job. */
export const loadFacts = jobService('read', ({ db }, jobId) => inspections.loadFacts(db, jobId));

/** What a job's file called ids that had to be made safe. */
export const fileIdsOf = jobService('read', ({ db }, jobId): FileIds =>
  jobs.findFileIds(db, jobId),
);

/** Jobs on the same property that came before, whole, the latest first. */
export const loadEarlier = jobService('read', ({ db }, jobId): Inspection[] =>
  jobs.listEarlier(db, jobId).flatMap((id) => inspections.loadInspection(db, id) ?? []),
);

/** A job for its pages; `null` when there is none. `needs`: what it takes to do something on the page. */
export const loadJobForPage = jobService('read', (call, jobId, needs: 'agree' | 'log' = 'log') => {
  handOver(call, jobId);
  return loadStoredJob(call.db, jobId, call.caller, needs);
});

/** Notes that somebody's device has a job: what is logged on it there is taken later, whatever happens. */
function handOver({ db, caller, nowMs }: ServiceCall, jobId: string): void {
  if (caller?.kind === 'person') noteHanded(db, caller.person, jobId, nowMs);
}

/** A job as it stands for a device, with what two devices set without seeing each other; `null` when there is none. */
export const loadJobState = jobService('read', (call, jobId) => {
  const { db } = call;
  handOver(call, jobId);
  const stored = inspections.loadStored(db, jobId);
  return stored && { ...stored, told: listOverwritten(db, jobId) };
});

/** Whether the caller has a right on a job: what a page offers. */
export const mayUseOnJob = jobService('read', ({ db, caller }, jobId, right: Right) =>
  callerHasJobRight(db, caller, right, jobId),
);

/** A job whole as a zip, its ids as its file called them. */
export const packJob = jobService(
  'read',
  (call, jobId, inspection: Inspection, fileIds: FileIds) => {
    noteExport(call, jobId);
    const written = withFileIds(inspection, fileIds);
    return pack(call.db, call.stores, inspection, written, (id) => fileIds[id] ?? id);
  },
);

/** A job's inspection file, its ids as they came. */
export const writeJobFile = jobService('read', (call, jobId, inspection: Inspection): string => {
  noteExport(call, jobId);
  return writeInspectionFile(withFileIds(inspection, jobs.findFileIds(call.db, jobId)));
});

function noteExport({ db, caller, source, nowMs }: ServiceCall, jobId: string): void {
  const accountId = personOf(caller)?.id ?? null;
  const now = new Date(nowMs).toISOString();
  noteAccess(db, { what: 'job-exported', accountId, detail: jobId }, source, now);
}

/** What happened to a job, the latest first. */
export const readHistory = jobService('read', ({ db }, jobId): Happened[] =>
  listHistory(db, jobId),
);

/**
 * Books a job.
 *
 * @throws a refusal when another job has its id, or when it is given to somebody who cannot scope it.
 */
export const bookJob = service('book', ({ db, caller, nowMs }, booking: Booking) => {
  const person = personOf(caller);
  if (person && booking.assignedTo !== undefined) refuseNobody(db, booking.assignedTo);
  const now = new Date(nowMs).toISOString();
  const begun = startInspection(booking, loadPreferences(db).judgement);
  const outcome = inspections.storeInspection(db, ownedBy(begun, person), now);
  if (outcome === 'conflict') throw refuseConflict('job');
  if (outcome === 'stored') noteDeed(db, booking.id, { what: 'booked' }, person, now);
  return outcome;
});

/**
 * Sets fields of a job; which of them somebody may set is asked field by field. What an ended device sends waits to be
 * looked at.
 */
export const editJob = jobService(
  'agree',
  (
    { db, caller, nowMs },
    jobId,
    sent: Omit<SentEdits, 'caller'>,
  ): EditsOutcome | (jobs.Step & { readonly outcome: 'held' }) => {
    const now = new Date(nowMs).toISOString();
    if (caller?.kind !== 'device' || !caller.isEnded)
      return storeEdits(db, jobId, { ...sent, caller }, now);
    const { id, device, saidAt, base, edits } = sent;
    holdChange(db, caller, id, { what: 'edits', id, device, saidAt, base, edits }, now);
    return { outcome: 'held', ...noStep(db, jobId) };
  },
);

/** The step of a job at which nothing of it was changed. */
function noStep(db: Database, jobId: string): jobs.Step {
  const rev = jobs.revEvenRemoved(db, jobId) ?? 0;
  return { before: rev, rev };
}

/** Takes a job off the list, under somebody's name; nothing of it is deleted. */
export const removeJob = jobService('agree', ({ db, caller, nowMs }, jobId): void => {
  const now = new Date(nowMs).toISOString();
  if (!jobs.removeJob(db, jobId, now)) throw refuseUnknown('job');
  noteDeed(db, jobId, { what: 'removed' }, personOf(caller), now);
});

/** What became of entries that were sent: of each, in order, and of the job. */
export type LogOutcome = jobs.Step & { readonly outcomes: readonly (Stored | 'held')[] };

/**
 * Appends entries to a run's log, also where the job was taken off the list; answered when they are on the disk. What an
 * ended device sends waits to be looked at.
 *
 * @throws a refusal when there never was such a job, or has no such run.
 */
export const logEntries = jobService(
  'log',
  async (
    { db, caller, nowMs },
    jobId,
    runId: string,
    entries: readonly Entry[],
  ): Promise<LogOutcome> => {
    const now = new Date(nowMs).toISOString();
    if (jobs.revEvenRemoved(db, jobId) === null) throw refuseUnknown('job');
    if (caller?.kind === 'device' && caller.isEnded) {
      const hold = db.transaction(() => {
        for (const entry of entries)
          holdChange(db, caller, entry.id, { what: 'entry', runId, entry }, now);
      });
      hold.immediate();
      return { outcomes: entries.map(() => 'held' as const), ...noStep(db, jobId) };
    }
    if (!hasPart(db, 'runs', jobId, runId)) throw refuseUnknown('run');
    const bytes = () => Buffer.byteLength(JSON.stringify(entries));
    return logInRun(db, jobId, runId, entries, now, personOf(caller), (count) =>
      noteIfLate(db, jobId, caller, { kind: 'entries', count, bytes: bytes() }, now),
    );
  },
);
