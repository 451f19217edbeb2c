import type { Database } from 'better-sqlite3';
import type { Person } from '#core/office/roles';
import { prepared } from '../prepared';
import { hashOfSecret, makeSecret } from './secrets';

/** An address of somebody's calendar: when it was made, and when a program read it last. */
export type Feed = { readonly madeAt: string | null; readonly usedAt: string | null };

/** The address of somebody's calendar; `null` where there is none. */
export const findFeed = (db: Database, accountId: string): Feed | null =>
  prepared<[string], Feed>(
    db,
    `SELECT feed_made_at AS madeAt, feed_used_at AS usedAt FROM accounts
     WHERE id = ? AND feed_sha256 IS NOT NULL`,
  ).get(accountId) ?? null;

/** Makes the secret of somebody's calendar; the one before opens nothing any more. */
export function makeFeed(db: Database, accountId: string, now: string): string {
  const secret = makeSecret();
  prepared(
    db,
    'UPDATE accounts SET feed_sha256 = ?, feed_made_at = ?, feed_used_at = NULL WHERE id = ?',
  ).run(hashOfSecret(secret), now, accountId);
  return secret;
}

export function endFeed(db: Database, accountId: string): void {
  prepared(db, 'UPDATE accounts SET feed_sha256 = NULL WHERE id = ?').run(accountId);
}

/** How often it is written down that a calendar was read, ms. */
const USED_EVERY_MS = 3_600_000;

/** Whose calendar a secret opens, which is noted; `null` when it opens none. */
export function findByFeed(db: Database, secret: string, nowMs: number): Person | null {
  const row = prepared<[string], Person & { usedAt: string | null }>(
    db,
    `SELECT id, name, role, feed_used_at AS usedAt FROM accounts
     WHERE feed_sha256 = ? AND closed_at IS NULL`,
  ).get(hashOfSecret(secret));
  if (!row) return null;
  const { usedAt, ...person } = row;
  if (usedAt === null || nowMs - Date.parse(usedAt) > USED_EVERY_MS)
    prepared(db, 'UPDATE accounts SET feed_used_at = ? WHERE id = ?').run(
      new Date(nowMs).toISOString(),
      person.id,
    );
  return person;
}
