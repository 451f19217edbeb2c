import type { Database } from 'better-sqlite3';
import type { Entry } from '#core/log/entry';
import { sameJson, type Stored } from './parts';

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
): Stored[] {
  const find = db.prepare<[string, string, string], { body: string }>(
    'SELECT body FROM entries WHERE job_id = ? AND run_id = ? AND id = ?',
  );
  const insert = db.prepare(
    'INSERT INTO entries (job_id, run_id, id, body, received_at) VALUES (?, ?, ?, ?, ?)',
  );
  const append = db.transaction((): Stored[] => {
    const outcomes = entries.map((entry): Stored => {
      const known = find.get(jobId, runId, entry.id);
      if (known) return sameJson(JSON.parse(known.body), entry) ? 'known' : 'conflict';
      insert.run(jobId, runId, entry.id, JSON.stringify(entry), receivedAt);
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

/** Undoes the transaction and carries what was found out of it. */
class Conflict extends Error {
  constructor(readonly outcomes: Stored[]) {
    super('an entry id is taken');
  }
}

/** The logs of a job by run, in order of arrival. */
export function listEntries(db: Database, jobId: string): Map<string, Entry[]> {
  const logs = new Map<string, Entry[]>();
  const rows = db
    .prepare<[string], { runId: string; body: string }>(
      'SELECT run_id AS runId, body FROM entries WHERE job_id = ? ORDER BY seq',
    )
    .all(jobId);
  for (const { runId, body } of rows) {
    const log = logs.get(runId);
    const entry = JSON.parse(body) as Entry;
    if (log) log.push(entry);
    else logs.set(runId, [entry]);
  }
  return logs;
}

/** Ids of a run's entries. */
export function listEntryIds(db: Database, jobId: string, runId: string): Set<string> {
  const rows = db
    .prepare<[string, string], { id: string }>(
      'SELECT id FROM entries WHERE job_id = ? AND run_id = ?',
    )
    .all(jobId, runId);
  return new Set(rows.map(({ id }) => id));
}
