import type { Database } from 'better-sqlite3';
import { assessed } from '#core/assess';
import { addDays } from '#core/base/day';
import { listDays } from '#core/interchange/icalendar';
import { composeDue, type DueItem, type DueJob } from '#core/schedule/due';
import { loadInspection } from './inspections';
import { hasOwner } from './people/accounts';
import type { SignedIn } from './people/sessions';
import { prepared } from './prepared';

/** What is asked about at all: from so long ago, to so far ahead, days. */
const OPEN_DAYS = 130;
const AHEAD_DAYS = 90;
/** So many reports are dated anew in one go; the rest the next time. */
const MOST_WORKED_OUT = 60;

type Row = Omit<DueJob, 'days' | 'settled'> & {
  readonly days: string;
  readonly settled: string;
};
type Days = DueJob['days'];

/** One bad job takes nothing else along. */
function workOut(db: Database, jobId: string): Days {
  try {
    const inspection = loadInspection(db, jobId);
    if (!inspection) return [];
    return listDays(assessed(inspection)).filter(({ key }) => key !== 'period');
  } catch (error) {
    console.error(`job ${jobId}:`, error);
    return [];
  }
}

/** Dates the issued reports that are not dated yet, some in one go. */
function dateIssued(db: Database): void {
  const ids = prepared<[], { id: string }>(
    db,
    `SELECT DISTINCT issued.job_id AS id FROM issued LEFT JOIN dated ON dated.job_id = issued.job_id
     WHERE dated.job_id IS NULL LIMIT ${MOST_WORKED_OUT}`,
  ).all();
  const add = prepared(
    db,
    'INSERT OR REPLACE INTO due_days (job_id, key, due_on, title) VALUES (?, ?, ?, ?)',
  );
  for (const { id } of ids) {
    const days = workOut(db, id);
    db.transaction(() => {
      for (const { key, on, title } of days) add.run(id, key, on, title);
      prepared(db, 'INSERT OR IGNORE INTO dated (job_id) VALUES (?)').run(id);
    })();
  }
}

/**
 * Everything with a date across all jobs.
 *
 * @param today `YYYY-MM-DD`.
 */
export function readDue(db: Database, today: string): DueItem[] {
  dateIssued(db);
  const person = hasOwner(db) ? 'assigned_to' : `json_extract(job, '$.inspector')`;
  const jobs = prepared<object, Row>(
    db,
    `SELECT id, title, client, coalesce(${person}, '') AS personId,
       substr(scheduled_for, 1, 10) AS scopedOn, period_ends_on AS periodEndsOn,
       (SELECT count(*) FROM entries WHERE entries.job_id = jobs.id) AS entryCount,
       (SELECT max(number) FROM issued WHERE issued.job_id = jobs.id) AS issuedNumber,
       (SELECT json_group_array(json_object('key', key, 'on', due_on, 'title', title))
          FROM due_days WHERE due_days.job_id = jobs.id) AS days,
       (SELECT json_group_array(key) FROM settled WHERE settled.job_id = jobs.id) AS settled
     FROM jobs WHERE removed_at IS NULL AND id IN (
       SELECT id FROM jobs WHERE scheduled_for >= @since
       UNION SELECT job_id FROM due_days WHERE due_on BETWEEN @since AND @until)`,
  )
    .all({ since: addDays(today, -OPEN_DAYS), until: addDays(today, AHEAD_DAYS) })
    .map(({ days, settled, ...job }): DueJob => ({
      ...job,
      days: JSON.parse(days) as Days,
      settled: JSON.parse(settled) as string[],
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
