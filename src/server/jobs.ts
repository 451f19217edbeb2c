import type { Database } from 'better-sqlite3';
import type { JobSummary } from '#core/desk/desk';
import type { FileIds } from '#core/interchange/safe-ids';

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

export function findJob(db: Database, id: string): JobRow | null {
  const row = db
    .prepare<[string], RawRow>(
      'SELECT job, property, rest, rev FROM jobs WHERE id = ? AND removed_at IS NULL',
    )
    .get(id);
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
  const insert = db.prepare(
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
  const row = db
    .prepare<[string], { fileIds: string | null }>(
      'SELECT file_ids AS fileIds FROM jobs WHERE id = ?',
    )
    .get(id);
  return row?.fileIds ? (JSON.parse(row.fileIds) as FileIds) : {};
}

/** Replaces the facts of a job; what they were before is kept by a trigger. */
export function updateJob(db: Database, id: string, row: Sections): void {
  db.prepare('UPDATE jobs SET job = ?, property = ?, rest = ? WHERE id = ?').run(
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
  const { rev } = db
    .prepare<[string], { rev: number }>('UPDATE jobs SET rev = rev + 1 WHERE id = ? RETURNING rev')
    .get(id)!;
  return { before: rev - 1, rev };
}

/** A job's revision; `null` when there is no such job. */
export function revOf(db: Database, id: string): number | null {
  const row = db
    .prepare<[string], { rev: number }>('SELECT rev FROM jobs WHERE id = ? AND removed_at IS NULL')
    .get(id);
  return row?.rev ?? null;
}

/** Takes a job off the list; nothing of it is deleted. Whether there was one. */
export function removeJob(db: Database, id: string, now: string): boolean {
  const done = db
    .prepare('UPDATE jobs SET removed_at = ?, rev = rev + 1 WHERE id = ? AND removed_at IS NULL')
    .run(now, id);
  return done.changes > 0;
}

/** Brings a job back on the list; whether it had been taken off. */
export function bringBack(db: Database, id: string): boolean {
  const done = db
    .prepare('UPDATE jobs SET removed_at = NULL WHERE id = ? AND removed_at IS NOT NULL')
    .run(id);
  return done.changes > 0;
}

/** All jobs, the latest appointment first. */
export function listJobs(db: Database): JobSummary[] {
  return db
    .prepare<[], JobSummary>(
      `SELECT id, title, client, scheduled_for AS scheduledFor, period_ends_on AS periodEndsOn,
              (SELECT count(*) FROM runs WHERE runs.job_id = jobs.id) AS runCount,
              (SELECT count(*) FROM entries WHERE entries.job_id = jobs.id) AS entryCount,
              (SELECT max(number) FROM issued WHERE issued.job_id = jobs.id) AS issuedNumber,
              (SELECT max(issued_at) FROM issued WHERE issued.job_id = jobs.id) AS issuedAt
       FROM jobs WHERE removed_at IS NULL ORDER BY scheduled_for DESC, id`,
    )
    .all();
}

/** Jobs on the same property, by its address, that came before; the latest first. */
export function listEarlier(db: Database, jobId: string): readonly string[] {
  return db
    .prepare<[string], { id: string }>(
      `SELECT other.id FROM jobs AS this JOIN jobs AS other
         ON lower(trim(json_extract(other.property, '$.address'))) = lower(trim(json_extract(this.property, '$.address')))
        AND other.id <> this.id AND other.removed_at IS NULL AND other.scheduled_for < this.scheduled_for
       WHERE this.id = ? ORDER BY other.scheduled_for DESC LIMIT 20`,
    )
    .all(jobId)
    .map(({ id }) => id);
}
