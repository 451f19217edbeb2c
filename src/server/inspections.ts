import type { Database } from 'better-sqlite3';
import type { Inspection } from '#core/job/inspection';
import { writeInspectionFile } from '#core/formats/inspection-file';
import { appendEntries, listEntries } from './entries';
import { findJob, insertJob, setFirstReferenceRun, updateJob } from './jobs';
import { addPart, listParts, putPart, type Stored } from './parts';
import type { AccessPoint } from '#core/job/access-point';
import type { Run } from '#core/job/run';

/** Everything stored about a job, as its inspection file has it; `null` when there is no such job. */
export function loadInspection(db: Database, jobId: string): Inspection | null {
  const row = findJob(db, jobId);
  if (!row) return null;
  const logs = listEntries(db, jobId);
  const runs = listParts(db, 'runs', jobId) as Run[];
  return {
    format: 'chert-inspection',
    version: 1,
    job: row.job,
    property: row.property,
    accessPoints: listParts(db, 'access_points', jobId) as AccessPoint[],
    runs: runs.map((run) => ({ ...run, entries: logs.get(run.id) ?? [] })),
    ...row.rest,
  } as unknown as Inspection;
}

/**
 * Stores a checked inspection as a new job, whole or not at all.
 *
 * @returns `known` when the very same job is here already, `conflict` when another with its id is.
 */
export function storeInspection(db: Database, inspection: Inspection, now: string): Stored {
  const store = db.transaction((): Stored => {
    const known = loadInspection(db, inspection.job.id);
    if (known) {
      return writeInspectionFile(known) === writeInspectionFile(inspection) ? 'known' : 'conflict';
    }
    const { format: _f, version: _v, job, property, accessPoints, runs, ...rest } = inspection;
    insertJob(db, job.id, { job: { ...job }, property: { ...property }, rest }, now);
    for (const access of accessPoints) addPart(db, 'access_points', job.id, access);
    for (const { entries, ...setup } of runs) {
      addPart(db, 'runs', job.id, setup);
      appendEntries(db, job.id, setup.id, entries, now);
    }
    return 'stored';
  });
  return store.immediate();
}

/** Adds a run's set-up to a job; the first one becomes the reference. */
export function addRun(db: Database, jobId: string, setup: Omit<Run, 'entries'>): Stored {
  return db.transaction(() => {
    const outcome = addPart(db, 'runs', jobId, setup);
    if (outcome === 'stored') setFirstReferenceRun(db, jobId, setup.id);
    return outcome;
  })();
}

/** Puts a run's set-up in the place of the one with its id, or adds it. */
export function putRun(db: Database, jobId: string, setup: Omit<Run, 'entries'>): Stored {
  return db.transaction(() => {
    const outcome = putPart(db, 'runs', jobId, setup);
    setFirstReferenceRun(db, jobId, setup.id);
    return outcome;
  })();
}

/** Stores the facts of a checked inspection: the job, the property and what has no table. */
export function storeFacts(db: Database, inspection: Inspection): void {
  const {
    format: _f,
    version: _v,
    job,
    property,
    accessPoints: _a,
    runs: _r,
    ...rest
  } = inspection;
  updateJob(db, job.id, { job: { ...job }, property: { ...property }, rest });
}
