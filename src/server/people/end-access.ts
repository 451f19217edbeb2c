import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';

/** What of somebody's access stays when the rest is ended. */
export type KeptAccess = {
  /** The session of the device where it was asked for. */
  readonly sessionId?: string;
  /** Whether passkeys stay: only where somebody says so of their own, with the password. */
  readonly keepsPasskeys?: boolean;
};

/**
 * Ends every way in that somebody has: sessions, passkeys, the calendar address, links to set a password, and what a
 * passkey was asked to sign. Call it in the transaction that changes what made it necessary.
 */
export function endAccess(
  db: Database,
  accountId: string,
  now: string,
  { sessionId = '', keepsPasskeys = false }: KeptAccess = {},
): void {
  prepared(
    db,
    `UPDATE sessions SET ended_at = ?, ended_how = 'access'
     WHERE account_id = ? AND id <> ? AND ended_at IS NULL`,
  ).run(now, accountId, sessionId);
  if (!keepsPasskeys)
    prepared(db, 'UPDATE passkeys SET ended_at = ? WHERE account_id = ? AND ended_at IS NULL').run(
      now,
      accountId,
    );
  prepared(db, 'UPDATE accounts SET feed_sha256 = NULL WHERE id = ?').run(accountId);
  prepared(db, 'UPDATE invitations SET used_at = ? WHERE account_id = ? AND used_at IS NULL').run(
    now,
    accountId,
  );
  prepared(db, 'DELETE FROM challenges WHERE account_id = ?').run(accountId);
}
