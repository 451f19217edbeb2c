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

/**
 * Signs somebody in on a device.
 *
 * @param device what the device is called, as its browser tells it.
 * @returns the secret of its cookie, told this once.
 */
export function beginSession(
  db: Database,
  accountId: string,
  device: string,
  now: string,
): { readonly id: string; readonly secret: string } {
  const secret = makeSecret();
  const id = ulid(Date.parse(now));
  prepared(
    db,
    `INSERT INTO sessions (id, account_id, secret_sha256, device, begun_at, seen_at)
     VALUES (?, ?, ?, ?, ?, ?)`,
  ).run(id, accountId, hashOfSecret(secret), device, now, now);
  return { id, secret };
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

/** Signs one device of somebody out; whether it was signed in. */
export function endSession(db: Database, accountId: string, id: string, now: string): boolean {
  const done = prepared(
    db,
    'UPDATE sessions SET ended_at = ? WHERE account_id = ? AND id = ? AND ended_at IS NULL',
  ).run(now, accountId, id);
  return done.changes > 0;
}

/**
 * Signs somebody out everywhere.
 *
 * @param but the session that stays, that of the device where it was asked for.
 */
export function endSessions(db: Database, accountId: string, now: string, but = ''): void {
  prepared(
    db,
    'UPDATE sessions SET ended_at = ? WHERE account_id = ? AND id <> ? AND ended_at IS NULL',
  ).run(now, accountId, but);
}

/** Signs everybody out on every device, and lets no link to a password and no calendar open anything. */
export function signOutAll(db: Database, now: string): void {
  prepared(db, 'UPDATE sessions SET ended_at = ? WHERE ended_at IS NULL').run(now);
  prepared(db, 'DELETE FROM invitations').run();
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
