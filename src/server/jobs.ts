import type { Database } from 'better-sqlite3';
import type { JobSummary } from '#core/desk/desk';

/** A job as its row keeps it: parsed JSON, unknown keys included. */
export type JobRow = {
  readonly job: Record<string, unknown>;
  readonly property: Record<string, unknown>;
  /** Lines, ties, spans, decisions, settings and whatever else the file carried. */
  readonly rest: Record<string, unknown>;
};

type RawRow = { job: string; property: string; rest: string };

export function findJob(db: Database, id: string): JobRow | null {
  const row = db
    .prepare<[string], RawRow>('SELECT job, property, rest FROM jobs WHERE id = ?')
    .get(id);
  return row
    ? { job: JSON.parse(row.job), property: JSON.parse(row.property), rest: JSON.parse(row.rest) }
    : null;
}

export function insertJob(db: Database, id: string, row: JobRow, bookedAt: string): void {
  db.prepare('INSERT INTO jobs (id, job, property, rest, booked_at) VALUES (?, ?, ?, ?, ?)').run(
    id,
    JSON.stringify(row.job),
    JSON.stringify(row.property),
    JSON.stringify(row.rest),
    bookedAt,
  );
}

/** Replaces the facts of a job; what they were before is kept by a trigger. */
export function updateJob(db: Database, id: string, row: JobRow): void {
  db.prepare('UPDATE jobs SET job = ?, property = ?, rest = ? WHERE id = ?').run(
    JSON.stringify(row.job),
    JSON.stringify(row.property),
    JSON.stringify(row.rest),
    id,
  );
}

/** Makes a run the reference, if the job has none yet. */
export function setFirstReferenceRun(db: Database, jobId: string, runId: string): void {
  db.prepare(
    `UPDATE jobs SET job = json_set(job, '$.referenceRunId', ?)
     WHERE id = ? AND json_extract(job, '$.referenceRunId') = ''`,
  ).run(runId, jobId);
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
       FROM jobs ORDER BY scheduled_for DESC, id`,
    )
    .all();
}

/** Jobs on the same property, by its address, that came before; the latest first. */
export function listEarlier(db: Database, jobId: string): readonly string[] {
  return db
    .prepare<[string], { id: string }>(
      `SELECT other.id FROM jobs AS this JOIN jobs AS other
         ON lower(trim(json_extract(other.property, '$.address'))) = lower(trim(json_extract(this.property, '$.address')))
        AND other.id <> this.id AND other.scheduled_for < this.scheduled_for
       WHERE this.id = ? ORDER BY other.scheduled_for DESC LIMIT 20`,
    )
    .all(jobId)
    .map(({ id }) => id);
}
