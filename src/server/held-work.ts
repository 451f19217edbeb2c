import type { Database } from 'better-sqlite3';
import type { Edit } from '#core/model/job/edits';
import type { Entry } from '#core/model/log/entry';
import type { SentEdits } from './edits';
import { prepared } from './prepared';
import type { DeviceCaller } from './security/caller';

/** A change that an ended device sent, as it waits. */
export type HeldChange =
  | { readonly what: 'entry'; readonly runId: string; readonly entry: Entry }
  | (Pick<SentEdits, 'id' | 'device' | 'saidAt' | 'base'> & {
      readonly what: 'edits';
      readonly edits: readonly Edit[];
    })
  | {
      readonly what: 'media';
      readonly mediaId: string;
      readonly type: string;
      readonly bytes: number;
      readonly sha256: string;
      readonly place: string;
    };

/** Has a change of an ended device wait to be looked at; one that waits already, or was decided on, stays as it is. */
export function holdChange(
  db: Database,
  { jobId, deviceId, person }: DeviceCaller,
  changeId: string,
  change: HeldChange,
  now: string,
): void {
  prepared(
    db,
    `INSERT OR IGNORE INTO held_work (job_id, change_id, device_id, account_id, session, body, at)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(jobId, changeId, deviceId, person.id, person.sessionId, JSON.stringify(change), now);
}

/** What waits of one ended device on one job. */
export type HeldWork = {
  readonly jobId: string;
  readonly title: string;
  readonly deviceId: string;
  readonly device: string;
  readonly accountId: string;
  readonly person: string;
  readonly count: number;
  readonly at: string;
};

/** All that waits to be looked at, by device and job. */
export const listHeld = (db: Database): HeldWork[] =>
  prepared<[], HeldWork>(
    db,
    `SELECT h.job_id AS jobId, jobs.title, h.device_id AS deviceId, h.account_id AS accountId,
       coalesce(d.name, '') AS device, a.name AS person, count(*) AS count, max(h.at) AS at
     FROM held_work AS h JOIN jobs ON jobs.id = h.job_id
       JOIN accounts AS a ON a.id = h.account_id
       LEFT JOIN known_devices AS d ON d.id = h.device_id AND d.account_id = h.account_id
     WHERE h.decided_at IS NULL GROUP BY h.job_id, h.device_id, h.account_id ORDER BY at DESC`,
  ).all();

/** One waiting change, with what it was sent under. */
export type WaitingChange = { readonly session: string | null; readonly change: HeldChange };

const WHERE = 'job_id = ? AND device_id = ? AND account_id = ? AND decided_at IS NULL';

/** The changes of one device on one job that wait, in the order in which they came. */
export const listWaitingChanges = (
  db: Database,
  { jobId, deviceId, accountId }: Pick<HeldWork, 'jobId' | 'deviceId' | 'accountId'>,
): WaitingChange[] =>
  prepared<[string, string, string], { session: string | null; body: string }>(
    db,
    `SELECT session, body FROM held_work WHERE ${WHERE} ORDER BY id`,
  )
    .all(jobId, deviceId, accountId)
    .map(({ session, body }) => ({ session, change: JSON.parse(body) as HeldChange }));

/** Notes what was decided of all that waits of one device on one job. */
export function decideHeld(
  db: Database,
  { jobId, deviceId, accountId }: Pick<HeldWork, 'jobId' | 'deviceId' | 'accountId'>,
  wasTaken: boolean,
  now: string,
): void {
  prepared(db, `UPDATE held_work SET decided_at = ?, was_taken = ? WHERE ${WHERE}`).run(
    now,
    wasTaken ? 1 : 0,
    jobId,
    deviceId,
    accountId,
  );
}
