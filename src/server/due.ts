import type { Database } from 'better-sqlite3';
import { assessed } from '#core/assess';
import { listDays } from '#core/interchange/icalendar';
import { composeDue, type DueItem, type DueJob } from '#core/schedule/due';
import { loadInspection } from './inspections';
import { hasOwner } from './people/accounts';
import type { SignedIn } from './people/sessions';
import { prepared } from './prepared';

/** Jobs without an issued report are asked about for so long after their day. */
const OPEN_DAYS = 130;
/** So many reports are dated anew in one go; the rest the next time. */
const MOST_WORKED_OUT = 60;
const DAY_MS = 86_400_000;

type Row = Omit<DueJob, 'days' | 'settled'> & {
  readonly rev: number;
  readonly datedRev: number | null;
  readonly days: string | null;
  readonly settled: string;
};
type Days = DueJob['days'];

/** What an issued report dates, kept as of the job's revision. */
function daysOf(db: Database, { id, rev, datedRev, days }: Row, canWork: () => boolean): Days {
  if (datedRev === rev && days !== null) return JSON.parse(days) as Days;
  if (!canWork()) return days === null ? [] : (JSON.parse(days) as Days);
  const found = workOut(db, id);
  prepared(
    db,
    `INSERT INTO job_days (job_id, rev, days) VALUES (?, ?, ?)
     ON CONFLICT (job_id) DO UPDATE SET rev = excluded.rev, days = excluded.days`,
  ).run(id, rev, JSON.stringify(found));
  return found;
}

/** One bad job takes nothing else along. */
function workOut(db: Database, jobId: string): Days {
  try {
    const inspection = loadInspection(db, jobId);
    if (!inspection) return [];
    return listDays(assessed(inspection))
      .filter(({ key }) => key !== 'period')
      .map(({ key, on, title }) => ({ key, on, title }));
  } catch (error) {
    console.error(`job ${jobId}:`, error);
    return [];
  }
}

/**
 * Everything with a date across all jobs.
 *
 * @param today `YYYY-MM-DD`.
 */
export function readDue(db: Database, today: string): DueItem[] {
  const since = new Date(Date.parse(`${today}T00:00:00Z`) - OPEN_DAYS * DAY_MS)
    .toISOString()
    .slice(0, 10);
  const person = hasOwner(db) ? `coalesce(assigned_to, '')` : `json_extract(job, '$.inspector')`;
  let left = MOST_WORKED_OUT;
  const jobs = prepared<[string], Row>(
    db,
    `SELECT jobs.id, title, client, jobs.rev, coalesce(${person}, '') AS personId,
       substr(scheduled_for, 1, 10) AS scopedOn, period_ends_on AS periodEndsOn,
       (SELECT count(*) FROM entries WHERE entries.job_id = jobs.id) AS entryCount,
       (SELECT max(number) FROM issued WHERE issued.job_id = jobs.id) AS issuedNumber,
       job_days.rev AS datedRev, job_days.days AS days,
       (SELECT json_group_array(key) FROM settled WHERE settled.job_id = jobs.id) AS settled
     FROM jobs LEFT JOIN job_days ON job_days.job_id = jobs.id
     WHERE removed_at IS NULL AND (scheduled_for >= ? OR EXISTS (SELECT 1 FROM issued WHERE issued.job_id = jobs.id))`,
  )
    .all(since)
    .map((row): DueJob => ({
      id: row.id,
      title: row.title,
      client: row.client,
      personId: row.personId,
      scopedOn: row.scopedOn,
      periodEndsOn: row.periodEndsOn,
      entryCount: row.entryCount,
      issuedNumber: row.issuedNumber,
      days: row.issuedNumber === null ? [] : daysOf(db, row, () => left-- > 0),
      settled: JSON.parse(row.settled) as string[],
    }));
  return composeDue(jobs, today);
}

/** Notes that something which was due is done, or takes that back. */
export function settleDue(
  db: Database,
  {
    jobId,
    key,
    isDone,
  }: { readonly jobId: string; readonly key: string; readonly isDone: boolean },
  who: SignedIn | null,
  now: string,
): void {
  if (isDone)
    prepared(
      db,
      'INSERT OR IGNORE INTO settled (job_id, key, session, at) VALUES (?, ?, ?, ?)',
    ).run(jobId, key, who?.sessionId ?? null, now);
  else prepared(db, 'DELETE FROM settled WHERE job_id = ? AND key = ?').run(jobId, key);
}
