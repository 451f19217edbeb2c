import type { Database } from 'better-sqlite3';
import type { Person } from '#core/office/roles';
import { prepared } from '../prepared';
import { hashOfSecret, makeSecret } from './secrets';

/** Whether somebody has an address for their calendar. */
export const hasFeed = (db: Database, accountId: string): boolean =>
  prepared<[string]>(db, 'SELECT 1 FROM accounts WHERE id = ? AND feed_sha256 IS NOT NULL').get(
    accountId,
  ) !== undefined;

/** Makes the secret of somebody's calendar; the one before opens nothing any more. */
export function makeFeed(db: Database, accountId: string): string {
  const secret = makeSecret();
  prepared(db, 'UPDATE accounts SET feed_sha256 = ? WHERE id = ?').run(
    hashOfSecret(secret),
    accountId,
  );
  return secret;
}

export function endFeed(db: Database, accountId: string): void {
  prepared(db, 'UPDATE accounts SET feed_sha256 = NULL WHERE id = ?').run(accountId);
}

/** Whose calendar a secret opens; `null` when it opens none. */
export const findByFeed = (db: Database, secret: string): Person | null =>
  prepared<[string], Person>(
    db,
    'SELECT id, name, role FROM accounts WHERE feed_sha256 = ? AND closed_at IS NULL',
  ).get(hashOfSecret(secret)) ?? null;
