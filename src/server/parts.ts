import type { Database } from 'better-sqlite3';
import { sameJson } from '#core/model/job/edits';
import { liftRecord } from '#core/model/migrations/index';
import { prepared } from './prepared';

/** Tables that hold an ordered list of parts of a job, each part as JSON. */
type PartTable = 'access_points' | 'runs';

const INSERT: Record<PartTable, string> = {
  access_points: `INSERT INTO access_points (job_id, position, id, body)
    VALUES (@jobId, (SELECT count(*) FROM access_points WHERE job_id = @jobId), @id, @body)`,
  runs: `INSERT INTO runs (job_id, position, id, body)
    VALUES (@jobId, (SELECT count(*) FROM runs WHERE job_id = @jobId), @id, @body)`,
};
const SELECT: Record<PartTable, string> = {
  access_points: 'SELECT body FROM access_points WHERE job_id = ? ORDER BY position',
  runs: 'SELECT body FROM runs WHERE job_id = ? ORDER BY position',
};
const FIND: Record<PartTable, string> = {
  access_points: 'SELECT body FROM access_points WHERE job_id = ? AND id = ?',
  runs: 'SELECT body FROM runs WHERE job_id = ? AND id = ?',
};

/** A part as it is written today, whichever Chert stored it. */
const read = (table: PartTable, body: string): unknown =>
  liftRecord(table === 'runs' ? 'run' : 'access-point', JSON.parse(body));

/** Whether a part was new, there already with the same content, or there with another. */
export type Stored = 'stored' | 'known' | 'conflict';

/** Appends an access point or a run's set-up to a job; the same one sent twice is stored once. */
export function addPart(
  db: Database,
  table: PartTable,
  jobId: string,
  part: { readonly id: string },
): Stored {
  const known = prepared<[string, string], { body: string }>(db, FIND[table]).get(jobId, part.id);
  if (known) return sameJson(read(table, known.body), part) ? 'known' : 'conflict';
  prepared(db, INSERT[table]).run({ jobId, id: part.id, body: JSON.stringify(part) });
  return 'stored';
}

const UPDATE: Record<PartTable, string> = {
  access_points: 'UPDATE access_points SET body = @body WHERE job_id = @jobId AND id = @id',
  runs: 'UPDATE runs SET body = @body WHERE job_id = @jobId AND id = @id',
};

/** Adds a part or, where its id is known, puts it in the place of the old one, which leaves a trace. */
export function putPart(
  db: Database,
  table: PartTable,
  jobId: string,
  part: { readonly id: string },
): void {
  if (addPart(db, table, jobId, part) === 'conflict')
    prepared(db, UPDATE[table]).run({ jobId, id: part.id, body: JSON.stringify(part) });
}

export function listParts(db: Database, table: PartTable, jobId: string): unknown[] {
  return prepared<[string], { body: string }>(db, SELECT[table])
    .all(jobId)
    .map(({ body }) => read(table, body));
}

export function hasPart(db: Database, table: PartTable, jobId: string, id: string): boolean {
  return prepared(db, FIND[table]).get(jobId, id) !== undefined;
}
