import type { Database } from 'better-sqlite3';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { withSafeIds } from '#core/interchange/safe-ids';
import type { AccessPoint } from '#core/model/job/access-point';
import { setupOf } from '#core/model/job/edits';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { appendEntries, listEntries } from './entries';
import { bringBack, findJob, insertJob, removeJob, updateJob } from './jobs';
import { addPart, listParts, putPart, type Stored } from './parts';

/** An inspection and the revision of its job that it shows. */
export type StoredInspection = { readonly inspection: Inspection; readonly rev: number };

/**
 * Everything stored about a job and its revision, read as of one moment.
 *
 * @param withLogs whether runs bring their entries; without, each has none.
 * @returns `null` when there is no such job.
 */
export function loadStored(db: Database, jobId: string, withLogs = true): StoredInspection | null {
  const read = db.transaction((): StoredInspection | null => {
    const row = findJob(db, jobId);
    if (!row) return null;
    const logs = withLogs ? listEntries(db, jobId) : new Map<string, never[]>();
    const runs = listParts(db, 'runs', jobId) as Run[];
    const inspection = {
      format: 'chert-inspection',
      version: 1,
      job: row.job,
      property: row.property,
      accessPoints: listParts(db, 'access_points', jobId) as AccessPoint[],
      runs: runs.map((run) => ({ ...run, entries: logs.get(run.id) ?? [] })),
      ...row.rest,
    };
    return { inspection: inspection as unknown as Inspection, rev: row.rev };
  });
  return read.deferred();
}

/** Everything stored about a job, as its inspection file has it; `null` when there is no such job. */
export function loadInspection(db: Database, jobId: string): Inspection | null {
  return loadStored(db, jobId)?.inspection ?? null;
}

/**
 * Stores a checked inspection as a new job, whole or not at all. Ids that cannot stand in an address are made
 * safe; what the file called them is kept for when it is written again.
 *
 * @returns `known` when the very same job is here already, `conflict` when another with its id is.
 */
export function storeInspection(db: Database, file: Inspection, now: string): Stored {
  const { inspection, fileIds } = withSafeIds(file);
  const store = db.transaction((): Stored => {
    // One that was taken off the list comes back, if it is the same.
    const wasRemoved = bringBack(db, inspection.job.id);
    const known = loadInspection(db, inspection.job.id);
    if (known) {
      const isSame = writeInspectionFile(known) === writeInspectionFile(inspection);
      if (!isSame && wasRemoved) removeJob(db, inspection.job.id, now);
      return isSame ? 'known' : 'conflict';
    }
    const { format: _f, version: _v, job, property, accessPoints, runs, ...rest } = inspection;
    insertJob(db, job.id, { job: { ...job }, property: { ...property }, rest }, now, fileIds);
    for (const access of accessPoints) addPart(db, 'access_points', job.id, access);
    for (const run of runs) {
      addPart(db, 'runs', job.id, setupOf(run));
      appendEntries(db, job.id, run.id, run.entries, now);
    }
    return 'stored';
  });
  return store.immediate();
}

/**
 * Stores what differs between two states of a job, but for its logs: facts, access points and set-ups.
 * Call it in a transaction that also read `before`.
 */
export function storeDifference(db: Database, before: Inspection, after: Inspection): void {
  const { format: _f, version: _v, job, property, accessPoints, runs, ...rest } = after;
  const {
    format: _g,
    version: _w,
    job: oldJob,
    property: oldProperty,
    accessPoints: oldAccess,
    runs: oldRuns,
    ...oldRest
  } = before;
  const isSame = job === oldJob && property === oldProperty && sameFields(rest, oldRest);
  if (!isSame) updateJob(db, job.id, { job: { ...job }, property: { ...property }, rest });
  for (const access of accessPoints)
    if (!oldAccess.includes(access)) putPart(db, 'access_points', job.id, access);
  for (const run of runs) if (!oldRuns.includes(run)) putPart(db, 'runs', job.id, setupOf(run));
}

const sameFields = (a: object, b: object) =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([key, value]) => (b as Record<string, unknown>)[key] === value);
