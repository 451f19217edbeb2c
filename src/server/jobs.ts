import type { Database } from 'better-sqlite3';
import type { JobSummary } from '#core/desk/desk';
import type { FileIds } from '#core/interchange/safe-ids';
import { prepared } from './prepared';

/** A job as its row keeps it: parsed JSON, unknown keys included. */
export type JobRow = {
  readonly job: Record<string, unknown>;
  readonly property: Record<string, unknown>;
  /** Lines, ties, spans, decisions, settings and whatever else the file carried. */
  readonly rest: Record<string, unknown>;
  /** Counts up with everything that is stored about the job. */
  readonly rev: number;
};

type RawRow = { job: string; property: string; rest: string; rev: number };
type Sections = Omit<JobRow, 'rev'>;

/** @param evenRemoved whether one that was taken off the list is found too. */
export function findJob(db: Database, id: string, evenRemoved = false): JobRow | null {
  const row = prepared<[string, number], RawRow>(
    db,
    'SELECT job, property, rest, rev FROM jobs WHERE id = ? AND (removed_at IS NULL OR ?)',
  ).get(id, evenRemoved ? 1 : 0);
  const read = (text: string) => JSON.parse(text) as Record<string, unknown>;
  return row
    ? { job: read(row.job), property: read(row.property), rest: read(row.rest), rev: row.rev }
    : null;
}

/** Stores a new job. `fileIds`: what its file called ids that had to be made safe. */
export function insertJob(
  db: Database,
  id: string,
  row: Sections,
  bookedAt: string,
  fileIds: FileIds,
): void {
  const insert = prepared(
    db,
    'INSERT INTO jobs (id, job, property, rest, booked_at, file_ids) VALUES (?, ?, ?, ?, ?, ?)',
  );
  insert.run(
    id,
    JSON.stringify(row.job),
    JSON.stringify(row.property),
    JSON.stringify(row.rest),
    bookedAt,
    Object.keys(fileIds).length > 0 ? JSON.stringify(fileIds) : null,
  );
}

/** What a job's file called ids that had to be made safe. */
export function findFileIds(db: Database, id: string): FileIds {
  const row = prepared<[string], { fileIds: string | null }>(
    db,
    'SELECT file_ids AS fileIds FROM jobs WHERE id = ?',
  ).get(id);
  return row?.fileIds ? (JSON.parse(row.fileIds) as FileIds) : {};
}

/** Replaces the facts of a job; what they were before is kept by a trigger. */
export function updateJob(db: Database, id: string, row: Sections): void {
  prepared(db, 'UPDATE jobs SET job = ?, property = ?, rest = ? WHERE id = ?').run(
    JSON.stringify(row.job),
    JSON.stringify(row.property),
    JSON.stringify(row.rest),
    id,
  );
}

/** A job's revision before and after something was stored about it. */
export type Step = { readonly before: number; readonly rev: number };

/** Takes a job one revision on. Call it in the transaction that stores what is new. */
export function stepJob(db: Database, id: string): Step {
  const { rev } = prepared<[string], { rev: number }>(
    db,
    'UPDATE jobs SET rev = rev + 1 WHERE id = ? RETURNING rev',
  ).get(id)!;
  return { before: rev - 1, rev };
}

/** A job's revision; `null` when there is no such job. */
export function revOf(db: Database, id: string): number | null {
  const row = prepared<[string], { rev: number }>(
    db,
    'SELECT rev FROM jobs WHERE id = ? AND removed_at IS NULL',
  ).get(id);
  return row?.rev ?? null;
}

/** A job's revision, also where it was taken off the list; `null` when there never was such a job. */
export const revEvenRemoved = (db: Database, id: string): number | null =>
  prepared<[string], { rev: number }>(db, 'SELECT rev FROM jobs WHERE id = ?').get(id)?.rev ?? null;

/** Whether a job was taken off the list. */
export const isRemoved = (db: Database, id: string): boolean =>
  prepared<[string]>(db, 'SELECT 1 FROM jobs WHERE id = ? AND removed_at IS NOT NULL').get(id) !==
  undefined;

/** Takes a job off the list; nothing of it is deleted. Whether there was one. */
export function removeJob(db: Database, id: string, now: string): boolean {
  const done = prepared(
    db,
    'UPDATE jobs SET removed_at = ?, rev = rev + 1 WHERE id = ? AND removed_at IS NULL',
  ).run(now, id);
  return done.changes > 0;
}

/** Brings a job back on the list; whether it had been taken off. */
export function bringBack(db: Database, id: string): boolean {
  const done = prepared(
    db,
    'UPDATE jobs SET removed_at = NULL WHERE id = ? AND removed_at IS NOT NULL',
  ).run(id);
  return done.changes > 0;
}

/** What the list tells of a job, from what is counted beside it. */
const SUMMARY = `id, title, client, scheduled_for AS scheduledFor, period_ends_on AS periodEndsOn, assigned_to AS assignedTo,
  (SELECT count(*) FROM runs WHERE runs.job_id = jobs.id) AS runCount,
  (SELECT count(*) FROM entries WHERE entries.job_id = jobs.id) AS entryCount,
  (SELECT max(number) FROM issued WHERE issued.job_id = jobs.id) AS issuedNumber,
  (SELECT max(issued_at) FROM issued WHERE issued.job_id = jobs.id) AS issuedAt`;

/** All jobs, the latest appointment first. */
export const listJobs = (db: Database): JobSummary[] =>
  prepared<[], JobSummary>(
    db,
    `SELECT ${SUMMARY} FROM jobs WHERE removed_at IS NULL ORDER BY scheduled_for DESC, id`,
  ).all();

/** Letters of every alphabet in one case; the database's own knows only those of English. */
function foldsCase(db: Database): void {
  if (folding.has(db)) return;
  db.function('fold_case', { deterministic: true }, (text) => String(text).toLowerCase());
  folding.add(db);
}
const folding = new WeakSet<Database>();

/**
 * The jobs with these words in their title or client, the latest appointment first.
 *
 * @param words in any case; empty: every job.
 * @param most how many of them are told.
 * @returns those, and how many there are in all.
 */
export function findJobs(
  db: Database,
  words: string,
  most: number,
): { readonly jobs: readonly JobSummary[]; readonly total: number } {
  foldsCase(db);
  const wanted = words.trim().toLowerCase();
  const listed = 'FROM jobs WHERE removed_at IS NULL';
  const found =
    wanted === '' ? listed : `${listed} AND instr(fold_case(title || ' ' || client), ?) > 0`;
  const asked = wanted === '' ? [] : [wanted];
  const ids = prepared<string[], { id: string }>(
    db,
    `SELECT id ${found} ORDER BY scheduled_for DESC, id LIMIT ${most}`,
  ).all(...asked);
  const { total } = prepared<string[], { total: number }>(
    db,
    `SELECT count(*) AS total ${found}`,
  ).get(...asked)!;
  return { jobs: ids.map(({ id }) => summaryOf(db, id)), total };
}

const summaryOf = (db: Database, id: string): JobSummary =>
  prepared<[string], JobSummary>(db, `SELECT ${SUMMARY} FROM jobs WHERE id = ?`).get(id)!;

/**
 * The jobs at work on a day, the next appointment first: those whose inspection period, or own day, is not over.
 *
 * @param today `YYYY-MM-DD`.
 * @param personId whose jobs alone; `null`: everybody's.
 */
export function jobsAtWork(
  db: Database,
  today: string,
  most: number,
  personId: string | null = null,
): JobSummary[] {
  const asked = personId === null ? [today] : [today, personId];
  return prepared<string[], { id: string; scheduledFor: string }>(
    db,
    `SELECT id, scheduled_for AS scheduledFor FROM jobs
     WHERE removed_at IS NULL AND coalesce(period_ends_on, substr(scheduled_for, 1, 10)) >= ?
       ${personId === null ? '' : 'AND assigned_to = ?'}`,
  )
    .all(...asked)
    .sort((a, b) => Date.parse(a.scheduledFor) - Date.parse(b.scheduledFor))
    .slice(0, most)
    .map(({ id }) => summaryOf(db, id));
}

/** Jobs on the same property, by its address, that came before; the latest first. */
export function listEarlier(db: Database, jobId: string): readonly string[] {
  return prepared<[string], { id: string }>(
    db,
    `SELECT other.id FROM jobs AS this JOIN jobs AS other
         ON lower(trim(json_extract(other.property, '$.address'))) = lower(trim(json_extract(this.property, '$.address')))
        AND other.id <> this.id AND other.removed_at IS NULL AND other.scheduled_for < this.scheduled_for
       WHERE this.id = ? ORDER BY other.scheduled_for DESC LIMIT 20`,
  )
    .all(jobId)
    .map(({ id }) => id);
}
