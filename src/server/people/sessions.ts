import type { Database } from 'better-sqlite3';
import { ulid } from 'ulid';
import type { Person, Role } from '#core/office/roles';
import { prepared } from '../prepared';
import { hashOfSecret, makeSecret } from './secrets';

/** The cookie of a signed-in device. */
export const SESSION_COOKIE = 'chert-session';
/** A device that was not seen for so long is signed out, days. */
export const SESSION_DAYS = 180;
const DAY_MS = 86_400_000;
/** How often it is written down that a device was seen, ms. */
const SEEN_EVERY_MS = 5 * 60_000;

/** Somebody on a device on which they are signed in. */
export type SignedIn = Person & { readonly sessionId: string };

export type Session = {
  readonly id: string;
  readonly device: string;
  readonly begunAt: string;
  readonly seenAt: string;
};

/** A browser in which somebody signs in. */
export type Device = {
  /** What it is called, as it tells of itself. */
  readonly name: string;
  /** Which it is, over all of its sessions. */
  readonly id: string;
};

/**
 * Signs somebody in on a device, which is known from then on.
 *
 * @param replaces the session that the browser came with; it ends.
 * @returns the secret of its cookie, told this once.
 */
export function beginSession(
  db: Database,
  accountId: string,
  device: Device,
  now: string,
  replaces: string | null = null,
): { readonly id: string; readonly secret: string } {
  const secret = makeSecret();
  const id = ulid(Date.parse(now));
  db.transaction(() => {
    if (replaces !== null)
      prepared(
        db,
        `UPDATE sessions SET ended_at = ?, ended_how = 'signed-out'
         WHERE secret_sha256 = ? AND ended_at IS NULL`,
      ).run(now, hashOfSecret(replaces));
    prepared(
      db,
      `INSERT INTO sessions (id, account_id, secret_sha256, device, device_id, begun_at, seen_at, confirmed_at)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    ).run(id, accountId, hashOfSecret(secret), device.name, device.id, now, now, now);
    // Whoever signs in on it has it back, if it was lost.
    prepared(
      db,
      `INSERT INTO known_devices (id, account_id, name) VALUES (?, ?, ?)
       ON CONFLICT DO UPDATE SET name = excluded.name, ended_at = NULL`,
    ).run(device.id, accountId, device.name);
  }).immediate();
  return { id, secret };
}

/** How long a password or a passkey that was shown counts before ways in are changed, ms. */
const CONFIRMED_MS = 10 * 60_000;

/** Whether somebody has shown a password or a passkey in this session just now. */
export function isConfirmed(db: Database, { sessionId }: SignedIn, nowMs: number): boolean {
  const row = prepared<[string], { confirmedAt: string }>(
    db,
    'SELECT confirmed_at AS confirmedAt FROM sessions WHERE id = ?',
  ).get(sessionId);
  return row !== undefined && nowMs - Date.parse(row.confirmedAt) <= CONFIRMED_MS;
}

/** Notes that somebody has shown a password or a passkey in this session. */
export function confirmSession(db: Database, { sessionId }: SignedIn, now: string): void {
  prepared(db, 'UPDATE sessions SET confirmed_at = ? WHERE id = ?').run(now, sessionId);
}

type Row = {
  readonly sessionId: string;
  readonly seenAt: string;
  readonly id: string;
  readonly name: string;
  readonly role: Role;
};

/** Who is signed in with a secret; `null` for one that is unknown, ended or long unseen. */
export function findSignedIn(db: Database, secret: string, nowMs: number): SignedIn | null {
  const row = prepared<[string], Row>(
    db,
    `SELECT s.id AS sessionId, s.seen_at AS seenAt, a.id, a.name, a.role
     FROM sessions AS s JOIN accounts AS a ON a.id = s.account_id
     WHERE s.secret_sha256 = ? AND s.ended_at IS NULL AND a.closed_at IS NULL`,
  ).get(hashOfSecret(secret));
  if (!row) return null;
  const { seenAt, ...who } = row;
  const unseenMs = nowMs - Date.parse(seenAt);
  if (unseenMs > SESSION_DAYS * DAY_MS) return null;
  if (unseenMs > SEEN_EVERY_MS)
    prepared(db, 'UPDATE sessions SET seen_at = ? WHERE id = ?').run(
      new Date(nowMs).toISOString(),
      who.sessionId,
    );
  return who;
}

/** The devices on which somebody is signed in, the last seen first. */
export const listSessions = (db: Database, accountId: string): Session[] =>
  prepared<[string], Session>(
    db,
    `SELECT id, device, begun_at AS begunAt, seen_at AS seenAt FROM sessions
     WHERE account_id = ? AND ended_at IS NULL ORDER BY seen_at DESC, id DESC`,
  ).all(accountId);

/** Signs somebody out on the device that asks; whether they were signed in. */
export function endSession(db: Database, accountId: string, id: string, now: string): boolean {
  const done = prepared(
    db,
    `UPDATE sessions SET ended_at = ?, ended_how = 'signed-out'
     WHERE account_id = ? AND id = ? AND ended_at IS NULL`,
  ).run(now, accountId, id);
  return done.changes > 0;
}

/**
 * Ends a device of somebody from elsewhere, as one that was lost: its session, and its standing. What it keeps it is told
 * to forget, and what it still sends waits to be looked at. Call it in a transaction.
 *
 * @returns whether the session was there to be ended.
 */
export function endDevice(
  db: Database,
  accountId: string,
  sessionId: string,
  now: string,
): boolean {
  const done = prepared(
    db,
    `UPDATE sessions SET ended_at = ?, ended_how = 'device'
     WHERE account_id = ? AND id = ? AND ended_at IS NULL`,
  ).run(now, accountId, sessionId);
  prepared(
    db,
    `UPDATE known_devices SET ended_at = ?
     WHERE account_id = ? AND id = (SELECT coalesce(device_id, id) FROM sessions WHERE id = ?)`,
  ).run(now, accountId, sessionId);
  return done.changes > 0;
}

/** Whether a secret is of a session that was ended from elsewhere: its device is to forget what it keeps. */
export const isOfEndedDevice = (db: Database, secret: string): boolean =>
  prepared<[string]>(
    db,
    `SELECT 1 FROM sessions WHERE secret_sha256 = ? AND ended_how IN ('access', 'device')`,
  ).get(hashOfSecret(secret)) !== undefined;

/** Signs everybody out on every device, and lets no link to a password and no calendar open anything. */
export function signOutAll(db: Database, now: string): void {
  prepared(db, 'UPDATE sessions SET ended_at = ? WHERE ended_at IS NULL').run(now);
  prepared(db, 'UPDATE invitations SET used_at = ? WHERE used_at IS NULL').run(now);
  prepared(db, 'DELETE FROM challenges').run();
  prepared(db, 'UPDATE accounts SET feed_sha256 = NULL').run();
}

const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;
const SYSTEMS = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/CrOS/, 'Chromebook'],
  [/Linux/, 'Linux'],
] as const;

/** What a device is called, from what its browser tells of itself. */
export function deviceOf(userAgent: string | null): string {
  const find = (names: readonly (readonly [RegExp, string])[]) =>
    names.find(([sign]) => sign.test(userAgent ?? ''))?.[1];
  const [browser, system] = [find(BROWSERS), find(SYSTEMS)];
  if (!browser && !system) return 'a device that does not say what it is';
  return [browser, system].filter(Boolean).join(' on ');
}
