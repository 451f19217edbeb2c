import type { Database } from 'better-sqlite3';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { withSafeIds } from '#core/interchange/safe-ids';
import type { AccessPoint } from '#core/model/job/access-point';
import { setupOf } from '#core/model/job/edits';
import type { Inspection } from '#core/model/job/inspection';
import type { Run } from '#core/model/job/run';
import { appendEntries, listEntries } from './entries';
import { installationOf } from './installation';
import { bringBack, findJob, insertJob, removeJob, revOf, updateJob } from './jobs';
import { addPart, listParts, putPart, type Stored } from './parts';

/** An inspection and the revision of its job that it shows. */
export type StoredInspection = { readonly inspection: Inspection; readonly rev: number };

/** The jobs of a database that were read last, whole, as of their revision. */
type Kept = { readonly stored: StoredInspection; readonly era: string };
const books = new WeakMap<Database, Map<string, Kept>>();
/**
 * So many entries are kept with all that was worked out from them, some 30 kB each: what pages, papers and lists
 * ask for one after another.
 */
const MOST_ENTRIES_KEPT = 3_000;
/** What a job weighs beside its log, in entries. */
const BARE_JOB = 50;

const weightOf = ({ stored: { inspection } }: Kept) =>
  inspection.runs.reduce((sum, { entries }) => sum + entries.length, BARE_JOB);

/**
 * Everything stored about a job and its revision, read as of one moment. The same object while nothing new is
 * stored about the job, so that what was worked out from it is not worked out again.
 *
 * @returns `null` when there is no such job.
 */
export function loadStored(db: Database, jobId: string): StoredInspection | null {
  // What a transaction has changed may yet be undone.
  if (db.inTransaction) return readStored(db, jobId, { withLogs: true });
  const book = books.get(db) ?? new Map<string, Kept>();
  books.set(db, book);
  const { era } = installationOf(db);
  const known = book.get(jobId);
  book.delete(jobId);
  const isFresh = known?.era === era && known.stored.rev === revOf(db, jobId);
  const stored = isFresh ? known.stored : readStored(db, jobId, { withLogs: true });
  if (stored === null) return null;
  // The one asked for last is the last to go.
  book.set(jobId, { stored, era });
  let weight = [...book.values()].reduce((sum, kept) => sum + weightOf(kept), 0);
  for (const [id, kept] of book) {
    if (weight <= MOST_ENTRIES_KEPT) break;
    book.delete(id);
    weight -= weightOf(kept);
  }
  return stored;
}

/** What a job is without its logs: each run has no entries. */
export const loadFacts = (db: Database, jobId: string): StoredInspection | null =>
  readStored(db, jobId, { withLogs: false });

/** A job as changes are laid over it, also where it was taken off the list: what was said of it is never lost. */
export const loadEvenRemoved = (
  db: Database,
  jobId: string,
  withLogs: boolean,
): StoredInspection | null => readStored(db, jobId, { withLogs, evenRemoved: true });

type Wanted = { readonly withLogs: boolean; readonly evenRemoved?: boolean };

function readStored(
  db: Database,
  jobId: string,
  { withLogs, evenRemoved = false }: Wanted,
): StoredInspection | null {
  const read = db.transaction((): StoredInspection | null => {
    const row = findJob(db, jobId, evenRemoved);
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
