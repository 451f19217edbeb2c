import type { Database } from 'better-sqlite3';
import type { LateWork } from '#core/office/say-late';
import { noteDeed } from './deeds';
import { isRemoved } from './jobs';
import { prepared } from './prepared';
import { type Caller, personOf } from './security/caller';
import { AFTER_REMOVAL, noteTaken } from './security/custody';

/** Late work, and when the last of it came. */
export type CameLate = LateWork & { readonly at: string };

/** Work that comes in within so long of other such work is told with it, ms. */
const TOGETHER_MS = 3_600_000;

/** After what the office has done a caller's work on a job comes in; `null` where it is in time. */
function lateAfter(db: Database, caller: Caller | null, jobId: string): string | null {
  if (caller?.kind === 'device') return caller.after;
  return isRemoved(db, jobId) ? AFTER_REMOVAL : null;
}

/** What was stored just now. */
type Came = { readonly kind: LateWork['kind']; readonly count: number; readonly bytes: number };

/** Tells of work that came in late, in the job's history and on its pages. Call it in the transaction that stores it. */
export function noteIfLate(
  db: Database,
  jobId: string,
  caller: Caller | null,
  { kind, count, bytes }: Came,
  now: string,
): void {
  if (count === 0) return;
  if (caller?.kind === 'device') noteTaken(db, caller, { changes: count, bytes });
  const why = lateAfter(db, caller, jobId);
  if (why === null) return;
  const person = personOf(caller);
  const session = person?.sessionId ?? null;
  const since = new Date(Date.parse(now) - TOGETHER_MS).toISOString();
  const { changes } = prepared(
    db,
    `UPDATE late_work SET count = count + ?, at = ?
     WHERE job_id = ? AND kind = ? AND session IS ? AND why = ? AND seen_at IS NULL AND at > ?`,
  ).run(count, now, jobId, kind, session, why, since);
  if (changes > 0) return;
  prepared(
    db,
    `INSERT INTO late_work (job_id, kind, count, session, person, why, at) VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(jobId, kind, count, session, person?.name ?? '', why, now);
  noteDeed(db, jobId, { what: 'late', detail: why }, person, now);
}

const COLUMNS = 'kind, count, person, why AS "after", at';

/** The late work of a job that nobody has seen yet, the latest first. */
export const listLate = (db: Database, jobId: string): CameLate[] =>
  prepared<[string], CameLate>(
    db,
    `SELECT ${COLUMNS} FROM late_work WHERE job_id = ? AND seen_at IS NULL ORDER BY at DESC, id DESC`,
  ).all(jobId);

/** Notes that somebody has seen the late work of a job. */
export function seeLate(db: Database, jobId: string, now: string): void {
  prepared(db, 'UPDATE late_work SET seen_at = ? WHERE job_id = ? AND seen_at IS NULL').run(
    now,
    jobId,
  );
}

/** A job with late work that nobody has seen yet. */
export type LateJob = CameLate & {
  readonly jobId: string;
  readonly title: string;
  readonly isRemoved: boolean;
  /** Whether a report had been issued before it came in. */
  readonly isIssued: boolean;
};

/** All late work that nobody has seen yet, by job. */
export const listLateJobs = (db: Database): LateJob[] =>
  prepared<[], Omit<LateJob, 'isRemoved' | 'isIssued'> & { isRemoved: 0 | 1; isIssued: 0 | 1 }>(
    db,
    `SELECT ${COLUMNS}, job_id AS jobId, jobs.title AS title, jobs.removed_at IS NOT NULL AS isRemoved,
       EXISTS (SELECT 1 FROM issued WHERE issued.job_id = jobs.id) AS isIssued
     FROM late_work JOIN jobs ON jobs.id = late_work.job_id
     WHERE seen_at IS NULL ORDER BY at DESC, late_work.id DESC LIMIT 100`,
  )
    .all()
    .map((row) => ({ ...row, isRemoved: row.isRemoved === 1, isIssued: row.isIssued === 1 }));
