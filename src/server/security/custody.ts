import type { Database } from 'better-sqlite3';
import type { Role } from '#core/office/roles';
import { readDeviceCookie } from '../people/device-cookie';
import { hashOfSecret } from '../people/secrets';
import type { SignedIn } from '../people/sessions';
import { prepared } from '../prepared';
import { type Caller, callerHasJobRight } from './caller';

/** How long after its last contact a device may still hand over what was logged on it, days. */
const HANDOVER_DAYS = 90;
/** How much a device may hand over of one job: more than anybody logs in a day, and all of its stills. */
const MOST_CHANGES = 20_000;
const MOST_BYTES = 2 * 1024 ** 3;
const DAY_MS = 86_400_000;
/** How often it is written down that a device has a job, ms. */
const HANDED_EVERY_MS = 3_600_000;

/** What a request shows of its device. */
export type DeviceProof = {
  /** The secret of its session, ended or not. */
  readonly secret: string | undefined;
  readonly deviceCookie: string | undefined;
  /** The account that its changes are of, as it says. */
  readonly accountId: string | undefined;
};

type SessionRow = {
  readonly id: string;
  readonly accountId: string;
  readonly deviceId: string;
};

const sessionBy = (db: Database, where: string, ...values: string[]) =>
  prepared<string[], SessionRow>(
    db,
    `SELECT id, account_id AS accountId, coalesce(device_id, id) AS deviceId FROM sessions
     WHERE ${where} ORDER BY begun_at DESC, id DESC LIMIT 1`,
  ).get(...values);

/** The last session of whoever the changes are of, on the device that brings them. */
function sessionOf(db: Database, { secret, deviceCookie, accountId }: DeviceProof) {
  const own =
    secret === undefined ? undefined : sessionBy(db, 'secret_sha256 = ?', hashOfSecret(secret));
  if (own && (accountId === undefined || accountId === own.accountId)) return own;
  const deviceId = readDeviceCookie(db, deviceCookie);
  if (deviceId === null || accountId === undefined) return undefined;
  return sessionBy(db, 'coalesce(device_id, id) = ? AND account_id = ?', deviceId, accountId);
}

/** Notes that a device has a job, with what may be done to it there. */
export function noteHanded(db: Database, person: SignedIn, jobId: string, nowMs: number): void {
  const caller: Caller = { kind: 'person', person };
  const rights = {
    mayLog: callerHasJobRight(db, caller, 'log', jobId) ? 1 : 0,
    mayAgree: callerHasJobRight(db, caller, 'agree', jobId) ? 1 : 0,
  };
  // What somebody may only read was never theirs there.
  if (rights.mayLog + rights.mayAgree === 0) return;
  const session = sessionBy(db, 'id = ?', person.sessionId);
  if (!session) return;
  const known = prepared<
    [string, string, string],
    { handedAt: string; mayLog: number; mayAgree: number }
  >(
    db,
    `SELECT handed_at AS handedAt, may_log AS mayLog, may_agree AS mayAgree FROM handed_jobs
     WHERE device_id = ? AND account_id = ? AND job_id = ?`,
  ).get(session.deviceId, person.id, jobId);
  const isFresh = known && nowMs - Date.parse(known.handedAt) < HANDED_EVERY_MS;
  if (isFresh && known.mayLog === rights.mayLog && known.mayAgree === rights.mayAgree) return;
  prepared(
    db,
    `INSERT INTO handed_jobs (device_id, account_id, job_id, may_log, may_agree, handed_at)
     VALUES (@deviceId, @accountId, @jobId, @mayLog, @mayAgree, @now)
     ON CONFLICT DO UPDATE SET may_log = max(may_log, @mayLog), may_agree = max(may_agree, @mayAgree), handed_at = @now`,
  ).run({
    deviceId: session.deviceId,
    accountId: person.id,
    jobId,
    ...rights,
    now: new Date(nowMs).toISOString(),
  });
}

type HandedRow = {
  readonly name: string;
  readonly role: Role;
  readonly closedAt: string | null;
  readonly isDeviceEnded: 0 | 1;
  readonly mayLog: 0 | 1;
  readonly mayAgree: 0 | 1;
  readonly handedAt: string;
  readonly takenCount: number;
  readonly takenBytes: number;
};

const handedRow = (db: Database, { accountId, deviceId }: SessionRow, jobId: string) =>
  prepared<[string, string, string], HandedRow>(
    db,
    `SELECT a.name, a.role, a.closed_at AS closedAt, h.may_log AS mayLog, h.may_agree AS mayAgree,
       h.handed_at AS handedAt, h.taken_count AS takenCount, h.taken_bytes AS takenBytes,
       EXISTS (SELECT 1 FROM known_devices AS d
         WHERE d.id = h.device_id AND d.account_id = h.account_id AND d.ended_at IS NOT NULL) AS isDeviceEnded
     FROM handed_jobs AS h JOIN accounts AS a ON a.id = h.account_id
     WHERE h.device_id = ? AND h.account_id = ? AND h.job_id = ?`,
  ).get(deviceId, accountId, jobId);

type JobRow = { readonly assignedTo: string | null; readonly removedAt: string | null };

/** What the office has done since the device had the job, as the end of "came in after …". */
function sayAfter(db: Database, handed: HandedRow, accountId: string, jobId: string): string {
  if (handed.isDeviceEnded === 1) return 'the device was ended';
  if (handed.closedAt !== null) return 'the account was closed';
  const job = prepared<[string], JobRow>(
    db,
    'SELECT assigned_to AS assignedTo, removed_at AS removedAt FROM jobs WHERE id = ?',
  ).get(jobId);
  if (job?.removedAt) return AFTER_REMOVAL;
  if (job?.assignedTo !== accountId && handed.role === 'inspector') {
    const next = prepared<[string | null], { name: string }>(
      db,
      'SELECT name FROM accounts WHERE id = ?',
    ).get(job?.assignedTo ?? null);
    return next ? `the job was given to ${next.name}` : 'the job was taken back';
  }
  return 'the device was signed out';
}

/** After what work comes in on a job that is off the list. */
export const AFTER_REMOVAL = 'the job was taken off the list';

/**
 * The device as it hands over what was logged on it while the job was somebody's there; `null` where it has nothing to
 * hand over, or has handed over all that it may.
 */
export function findCustody(
  db: Database,
  proof: DeviceProof,
  jobId: string,
  nowMs: number,
): Caller | null {
  const session = sessionOf(db, proof);
  const handed = session && handedRow(db, session, jobId);
  if (!handed) return null;
  const isOver = nowMs - Date.parse(handed.handedAt) > HANDOVER_DAYS * DAY_MS;
  if (isOver || handed.takenCount >= MOST_CHANGES || handed.takenBytes >= MOST_BYTES) return null;
  const { id: sessionId, accountId, deviceId } = session;
  return {
    kind: 'device',
    deviceId,
    jobId,
    person: { id: accountId, name: handed.name, role: handed.role, sessionId },
    after: sayAfter(db, handed, accountId, jobId),
    isEnded: handed.isDeviceEnded === 1,
    mayLog: handed.mayLog === 1,
    mayAgree: handed.mayAgree === 1,
  };
}

/** Counts what a device has handed over of a job. */
export function noteTaken(
  db: Database,
  { deviceId, person, jobId }: Extract<Caller, { kind: 'device' }>,
  { changes, bytes }: { readonly changes: number; readonly bytes: number },
): void {
  prepared(
    db,
    `UPDATE handed_jobs SET taken_count = taken_count + ?, taken_bytes = taken_bytes + ?
     WHERE device_id = ? AND account_id = ? AND job_id = ?`,
  ).run(changes, bytes, deviceId, person.id, jobId);
}
