import type { Database } from 'better-sqlite3';
import { sameJson } from '#core/model/job/edits';
import { findDanglingEntries, targetsOf } from '#core/model/job/references';
import type { Entry } from '#core/model/log/entry';
import { liftRecord } from '#core/model/migrations/index';
import { commitTogether } from './commit-together';
import { refuseFaults } from './http/answer';
import { revEvenRemoved, type Step, stepJob } from './jobs';
import type { Stored } from './parts';
import type { SignedIn } from './people/sessions';
import { prepared } from './prepared';

/**
 * Appends entries to a run's log in the order given, all of them or, when an id is already taken by a
 * different entry, none. The same entry sent twice is stored once.
 *
 * @returns what became of each entry, in order.
 */
export function appendEntries(
  db: Database,
  jobId: string,
  runId: string,
  entries: readonly Entry[],
  receivedAt: string,
  who: SignedIn | null = null,
): Stored[] {
  const find = prepared<[string, string, string], { body: string }>(
    db,
    'SELECT body FROM entries WHERE job_id = ? AND run_id = ? AND id = ?',
  );
  const insert = prepared(
    db,
    'INSERT INTO entries (job_id, run_id, id, body, received_at, session) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const append = db.transaction((): Stored[] => {
    const outcomes = entries.map((entry): Stored => {
      const known = find.get(jobId, runId, entry.id);
      if (known) return sameJson(JSON.parse(known.body), entry) ? 'known' : 'conflict';
      insert.run(jobId, runId, entry.id, JSON.stringify(entry), receivedAt, who?.sessionId ?? null);
      return 'stored';
    });
    if (outcomes.includes('conflict')) throw new Conflict(outcomes);
    return outcomes;
  });
  try {
    return append.immediate();
  } catch (error) {
    if (error instanceof Conflict) return error.outcomes;
    throw error;
  }
}

/**
 * Logs entries that a device sent: what they correct, close or take back must be in the log, or come with
 * them. Reads, checks and writes in one transaction, which others may share.
 *
 * @param onStored called in that transaction with how many of them are new.
 * @returns when they are on the disk: what became of each entry, in order, and the revision of the job before
 *   and after.
 */
export const logEntries = (
  db: Database,
  jobId: string,
  runId: string,
  entries: readonly Entry[],
  now: string,
  who: SignedIn | null = null,
  onStored: (count: number) => void = () => undefined,
): Promise<Step & { readonly outcomes: Stored[] }> =>
  commitTogether(db, () => {
    const known = new Set([
      ...entries.map(({ id }) => id),
      ...namedInLog(db, jobId, runId, entries),
    ]);
    const dangling = findDanglingEntries(entries, known, 'entries');
    if (dangling.length > 0) throw refuseFaults(dangling);
    const outcomes = appendEntries(db, jobId, runId, entries, now, who);
    onStored(outcomes.filter((outcome) => outcome === 'stored').length);
    if (outcomes.includes('stored')) return { outcomes, ...stepJob(db, jobId) };
    const rev = revEvenRemoved(db, jobId) ?? 0;
    return { outcomes, before: rev, rev };
  });

/** Undoes the transaction and carries what was found out of it. */
class Conflict extends Error {
  constructor(readonly outcomes: Stored[]) {
    super('an entry id is taken');
  }
}

/** The logs of a job by run, in order of arrival. */
export function listEntries(db: Database, jobId: string): Map<string, Entry[]> {
  const logs = new Map<string, Entry[]>();
  const rows = prepared<[string], { runId: string; body: string }>(
    db,
    'SELECT run_id AS runId, body FROM entries WHERE job_id = ? ORDER BY seq',
  ).all(jobId);
  for (const { runId, body } of rows) {
    const log = logs.get(runId);
    const entry = liftRecord('entry', JSON.parse(body)) as Entry;
    if (log) log.push(entry);
    else logs.set(runId, [entry]);
  }
  return logs;
}

/** Of the entries that these correct, close or take back, those that are in the log. */
function namedInLog(
  db: Database,
  jobId: string,
  runId: string,
  entries: readonly Entry[],
): string[] {
  const isThere = prepared<[string, string, string]>(
    db,
    'SELECT 1 FROM entries WHERE job_id = ? AND run_id = ? AND id = ?',
  );
  const named = entries.flatMap((entry) => targetsOf(entry).map(([, id]) => id));
  return named.filter((id) => isThere.get(jobId, runId, id) !== undefined);
}
