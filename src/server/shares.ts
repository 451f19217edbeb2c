import { createHash, randomBytes } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Reader } from '#core/report/documents';
import { timeOf } from './installation';
import { prepared } from './prepared';

/** A link by which somebody may read a job's issued report. */
export type ShareLink = {
  readonly id: string;
  readonly label: string;
  /** Which of the report's papers it opens. */
  readonly reader: Reader;
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};

/** 256 bits: nobody guesses it. */
const SECRET_BYTES = 32;

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** Makes a link. Its secret is returned this once; only its hash is kept. */
export function createShare(
  db: Database,
  jobId: string,
  { id, label, reader, createdAt, expiresAt }: Omit<ShareLink, 'revokedAt'>,
): string {
  const secret = randomBytes(SECRET_BYTES).toString('base64url');
  prepared(
    db,
    'INSERT INTO share_links (id, job_id, secret_sha256, label, reader, created_at, expires_at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  ).run(id, jobId, hashOf(secret), label, reader, createdAt, expiresAt);
  return secret;
}

/** The links of a job, the latest first. */
export function listShares(db: Database, jobId: string): ShareLink[] {
  return prepared<[string], ShareLink>(
    db,
    `SELECT id, label, reader, created_at AS createdAt, expires_at AS expiresAt, revoked_at AS revokedAt
       FROM share_links WHERE job_id = ? ORDER BY created_at DESC, id DESC`,
  ).all(jobId);
}

/** Takes a link back; whether there was one to take back. */
export function revokeShare(db: Database, jobId: string, id: string, now: string): boolean {
  const done = prepared(
    db,
    'UPDATE share_links SET revoked_at = ? WHERE job_id = ? AND id = ? AND revoked_at IS NULL',
  ).run(now, jobId, id);
  return done.changes > 0;
}

/** What a link opens. */
export type Shared = { readonly jobId: string; readonly reader: Reader };

/**
 * What a secret opens; `null` for one that is unknown, expired or taken back: all look alike.
 *
 * @param nowMs the machine's clock. Set back, it opens nothing again: the latest time seen counts.
 */
export function findShared(db: Database, secret: string, nowMs: number): Shared | null {
  const now = new Date(timeOf(db, nowMs)).toISOString();
  const row = prepared<[string, string], Shared>(
    db,
    `SELECT job_id AS jobId, reader FROM share_links
       WHERE secret_sha256 = ? AND revoked_at IS NULL AND expires_at > ?`,
  ).get(hashOf(secret), now);
  return row ?? null;
}
