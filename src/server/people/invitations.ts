import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';
import { type Account, findAccount } from './accounts';
import { hashOfSecret, makeSecret } from './secrets';

/** How long a link to set a password opens something, hours: three working days over a weekend. */
const INVITATION_HOURS = 120;
const RESET_HOURS = 2;
const HOUR_MS = 3_600_000;

export type InvitationKind = 'invitation' | 'reset';

/**
 * Makes the link by which somebody sets a password.
 *
 * @param keepsOthers whether links made before still open: who asks for one unasked for must not shut out whoever is
 *   just about to use theirs.
 */
export function invite(
  db: Database,
  accountId: string,
  kind: InvitationKind,
  nowMs: number,
  keepsOthers = false,
): string {
  const secret = makeSecret();
  const hours = kind === 'reset' ? RESET_HOURS : INVITATION_HOURS;
  db.transaction(() => {
    if (!keepsOthers)
      prepared(
        db,
        'UPDATE invitations SET used_at = ? WHERE account_id = ? AND used_at IS NULL',
      ).run(new Date(nowMs).toISOString(), accountId);
    prepared(
      db,
      `INSERT INTO invitations (secret_sha256, account_id, created_at, expires_at) VALUES (?, ?, ?, ?)`,
    ).run(
      hashOfSecret(secret),
      accountId,
      new Date(nowMs).toISOString(),
      new Date(nowMs + hours * HOUR_MS).toISOString(),
    );
  }).immediate();
  return secret;
}

/** Whose password a link sets; `null` for one that is unknown, used or expired: all look alike. */
export function findInvited(db: Database, secret: string, nowMs: number): Account | null {
  const row = prepared<[string, string], { accountId: string }>(
    db,
    `SELECT account_id AS accountId FROM invitations
     WHERE secret_sha256 = ? AND used_at IS NULL AND expires_at > ?`,
  ).get(hashOfSecret(secret), new Date(nowMs).toISOString());
  const account = row ? findAccount(db, row.accountId) : null;
  return account?.closedAt === null ? account : null;
}

/** Uses a link up; whether it was there to be used. */
export function useInvitation(db: Database, secret: string, nowMs: number): boolean {
  const now = new Date(nowMs).toISOString();
  const done = prepared(
    db,
    `UPDATE invitations SET used_at = ?
     WHERE secret_sha256 = ? AND used_at IS NULL AND expires_at > ?`,
  ).run(now, hashOfSecret(secret), now);
  return done.changes > 0;
}
