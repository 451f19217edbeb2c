import {
  type AuthenticationResponseJSON,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  type RegistrationResponseJSON,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server';
import type { Database } from 'better-sqlite3';
import { Refusal } from '../http/answer';
import { prepared } from '../prepared';
import type { Account } from './accounts';

/** A challenge is answered within so many ms. */
const CHALLENGE_MS = 5 * 60_000;

export type Passkey = {
  readonly id: string;
  readonly label: string;
  readonly createdAt: string;
  readonly usedAt: string | null;
};

/** Where a passkey is good: the site's name, and the origin of its pages. */
export type Site = { readonly rpID: string; readonly origin: string };

/** The site as a browser at an address sees it. */
export const siteOf = (origin: string): Site => ({ rpID: new URL(origin).hostname, origin });

const NOT_GOOD = new Refusal(
  401,
  'no-passkey',
  'This passkey opens nothing here. Sign in with your password.',
);

/** The passkeys of somebody, the latest first. */
export const listPasskeys = (db: Database, accountId: string): Passkey[] =>
  prepared<[string], Passkey>(
    db,
    `SELECT id, label, created_at AS createdAt, used_at AS usedAt FROM passkeys
     WHERE account_id = ? AND ended_at IS NULL ORDER BY created_at DESC, id`,
  ).all(accountId);

/** Ends a passkey of somebody; whether it was there to be ended. */
export function endPasskey(db: Database, accountId: string, id: string, now: string): boolean {
  const done = prepared(
    db,
    'UPDATE passkeys SET ended_at = ? WHERE account_id = ? AND id = ? AND ended_at IS NULL',
  ).run(now, accountId, id);
  return done.changes > 0;
}

function keepChallenge(db: Database, challenge: string, accountId: string | null, nowMs: number) {
  prepared(db, 'DELETE FROM challenges WHERE expires_at < ?').run(new Date(nowMs).toISOString());
  prepared(db, 'INSERT INTO challenges (challenge, account_id, expires_at) VALUES (?, ?, ?)').run(
    challenge,
    accountId,
    new Date(nowMs + CHALLENGE_MS).toISOString(),
  );
}

/** Takes a challenge out, once; whether it was there for this account. */
function useChallenge(
  db: Database,
  challenge: string,
  accountId: string | null,
  nowMs: number,
): boolean {
  const done = prepared(
    db,
    'DELETE FROM challenges WHERE challenge = ? AND account_id IS ? AND expires_at >= ?',
  ).run(challenge, accountId, new Date(nowMs).toISOString());
  return done.changes > 0;
}

/** What a browser is asked when somebody makes a passkey. */
export async function askForNew(
  db: Database,
  { id, mail, name }: Pick<Account, 'id' | 'mail' | 'name'>,
  { rpID }: Site,
  nowMs: number,
): Promise<object> {
  const options = await generateRegistrationOptions({
    rpName: 'Chert',
    rpID,
    userID: new TextEncoder().encode(id),
    userName: mail,
    userDisplayName: name,
    excludeCredentials: listPasskeys(db, id).map((key) => ({ id: key.id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
  });
  keepChallenge(db, options.challenge, id, nowMs);
  return options;
}

/** @throws a refusal when the answer is not good, or answers nothing that was asked. */
export async function keepNew(
  db: Database,
  accountId: string,
  response: RegistrationResponseJSON,
  { rpID, origin }: Site,
  { label, nowMs }: { readonly label: string; readonly nowMs: number },
): Promise<void> {
  const verified = await verifyRegistrationResponse({
    response,
    expectedChallenge: (challenge) => useChallenge(db, challenge, accountId, nowMs),
    expectedOrigin: origin,
    expectedRPID: rpID,
    requireUserVerification: false,
  }).catch(() => null);
  if (!verified?.verified) throw NOT_GOOD;
  const { credential } = verified.registrationInfo;
  prepared(
    db,
    `INSERT INTO passkeys (id, account_id, public_key, counter, label, created_at)
     VALUES (?, ?, ?, ?, ?, ?)`,
  ).run(
    credential.id,
    accountId,
    Buffer.from(credential.publicKey),
    credential.counter,
    label,
    new Date(nowMs).toISOString(),
  );
}

/** What a browser is asked when somebody signs in. */
export async function askForSignIn(db: Database, { rpID }: Site, nowMs: number): Promise<object> {
  const options = await generateAuthenticationOptions({ rpID, userVerification: 'preferred' });
  keepChallenge(db, options.challenge, null, nowMs);
  return options;
}

type Row = {
  readonly accountId: string;
  readonly publicKey: Buffer;
  readonly counter: number;
};

/**
 * @returns the account that a passkey opens.
 * @throws a refusal when it opens none.
 */
export async function accountByPasskey(
  db: Database,
  response: AuthenticationResponseJSON,
  { rpID, origin }: Site,
  nowMs: number,
): Promise<string> {
  const row = prepared<[string], Row>(
    db,
    `SELECT p.account_id AS accountId, p.public_key AS publicKey, p.counter
     FROM passkeys AS p JOIN accounts AS a ON a.id = p.account_id
     WHERE p.id = ? AND p.ended_at IS NULL AND a.closed_at IS NULL`,
  ).get(response.id);
  if (!row) throw NOT_GOOD;
  const verified = await verifyAuthenticationResponse({
    response,
    expectedChallenge: (challenge) => useChallenge(db, challenge, null, nowMs),
    expectedOrigin: origin,
    expectedRPID: rpID,
    credential: {
      id: response.id,
      publicKey: new Uint8Array(row.publicKey),
      counter: row.counter,
    },
    requireUserVerification: false,
  }).catch(() => null);
  if (!verified?.verified) throw NOT_GOOD;
  prepared(db, 'UPDATE passkeys SET counter = ?, used_at = ? WHERE id = ?').run(
    verified.authenticationInfo.newCounter,
    new Date(nowMs).toISOString(),
    response.id,
  );
  return row.accountId;
}
