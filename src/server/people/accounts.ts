import type { Database } from 'better-sqlite3';
import { ulid } from 'ulid';
import type { Person, Role } from '#core/office/roles';
import { Refusal } from '../http/answer';
import { prepared } from '../prepared';
import { endAccess, type KeptAccess } from './end-access';

export type Account = Person & {
  readonly mail: string;
  readonly createdAt: string;
  readonly closedAt: string | null;
  readonly hasPassword: boolean;
  /** Where a day begins, in words or as a position; empty where nobody said. */
  readonly home: string;
  /** Whether what is due comes by mail in the morning. */
  readonly isReminded: boolean;
};

type Row = Omit<Account, 'hasPassword' | 'isReminded'> & {
  readonly hasPassword: 0 | 1;
  readonly isReminded: 0 | 1;
};
const COLUMNS = `id, name, mail, role, created_at AS createdAt, closed_at AS closedAt,
  password IS NOT NULL AS hasPassword, home, reminded AS isReminded`;
const accountOf = (row: Row): Account => ({
  ...row,
  hasPassword: row.hasPassword === 1,
  isReminded: row.isReminded === 1,
});

/** Everybody who has, or had, an account, by name. */
export const listAccounts = (db: Database): Account[] =>
  prepared<[], Row>(db, `SELECT ${COLUMNS} FROM accounts ORDER BY closed_at IS NOT NULL, name, id`)
    .all()
    .map(accountOf);

export function findAccount(db: Database, id: string): Account | null {
  const row = prepared<[string], Row>(db, `SELECT ${COLUMNS} FROM accounts WHERE id = ?`).get(id);
  return row ? accountOf(row) : null;
}

/** An open account by its mail address, in any case. */
export function findByMail(db: Database, mail: string): Account | null {
  const row = prepared<[string], Row>(
    db,
    `SELECT ${COLUMNS} FROM accounts WHERE mail = ? AND closed_at IS NULL`,
  ).get(mail.trim());
  return row ? accountOf(row) : null;
}

/** Whether Chert has people at all: without an owner it answers this machine alone. */
export const hasOwner = (db: Database): boolean =>
  prepared<[]>(
    db,
    `SELECT 1 FROM accounts WHERE role = 'owner' AND closed_at IS NULL LIMIT 1`,
  ).get() !== undefined;

export type NewAccount = {
  readonly name: string;
  readonly mail: string;
  readonly role: Role;
};

/**
 * Makes an account without a password.
 *
 * @throws a refusal when the mail address has one.
 */
export function createAccount(db: Database, { name, mail, role }: NewAccount, now: string): Person {
  const id = ulid(Date.parse(now));
  const done = prepared(
    db,
    'INSERT OR IGNORE INTO accounts (id, name, mail, role, created_at) VALUES (?, ?, ?, ?, ?)',
  ).run(id, name.trim(), mail.trim(), role, now);
  if (done.changes === 0) throw MAIL_TAKEN;
  return { id, name: name.trim(), role };
}

/** The hash of an open account's password; `null` where there is none. */
export const passwordOf = (db: Database, id: string): string | null =>
  prepared<[string], { password: string | null }>(
    db,
    'SELECT password FROM accounts WHERE id = ? AND closed_at IS NULL',
  ).get(id)?.password ?? null;

/** Sets a password, and ends every way in that was open with the one before, but for what is kept. */
export function setPassword(
  db: Database,
  id: string,
  hash: string,
  now: string,
  kept: KeptAccess = {},
): void {
  db.transaction(() => {
    prepared(db, 'UPDATE accounts SET password = ? WHERE id = ?').run(hash, id);
    endAccess(db, id, now, kept);
  }).immediate();
}

const MAIL_TAKEN = new Refusal(
  409,
  'mail-taken',
  'This email address has an account already. Reopen it, or use another address.',
);

/** @throws a refusal when another account has the mail address. */
export function setMail(db: Database, id: string, mail: string): void {
  const done = prepared(db, 'UPDATE OR IGNORE accounts SET mail = ? WHERE id = ?').run(
    mail.trim(),
    id,
  );
  if (done.changes === 0) throw MAIL_TAKEN;
}

export function setHome(db: Database, id: string, home: string): void {
  prepared(db, 'UPDATE accounts SET home = ? WHERE id = ?').run(home.trim(), id);
}

export function setReminded(db: Database, id: string, isReminded: boolean): void {
  prepared(db, 'UPDATE accounts SET reminded = ? WHERE id = ?').run(isReminded ? 1 : 0, id);
}

/** Somebody must be left who can let others in. */
const LAST_OWNER = new Refusal(
  409,
  'last-owner',
  'This is the last owner. Make somebody else an owner first.',
);

function keepsOwner(db: Database, change: () => void): void {
  db.transaction(() => {
    change();
    if (!hasOwner(db)) throw LAST_OWNER;
  }).immediate();
}

/**
 * Gives somebody another role, and ends every way in that the one before had opened.
 *
 * @throws a refusal when no owner would be left; nothing is changed then.
 */
export function setRole(db: Database, id: string, role: Role, now: string): void {
  keepsOwner(db, () => {
    const { changes } = prepared(db, 'UPDATE accounts SET role = ? WHERE id = ? AND role <> ?').run(
      role,
      id,
      role,
    );
    if (changes > 0) endAccess(db, id, now);
  });
}

/**
 * Closes an account and ends every way in; what was done under it keeps its name.
 *
 * @throws a refusal when no owner would be left.
 */
export function closeAccount(db: Database, id: string, now: string): void {
  keepsOwner(db, () => {
    prepared(db, 'UPDATE accounts SET closed_at = ? WHERE id = ? AND closed_at IS NULL').run(
      now,
      id,
    );
    endAccess(db, id, now);
  });
}

/** Opens a closed account again; it is signed in nowhere. */
export function reopenAccount(db: Database, id: string): void {
  prepared(db, 'UPDATE accounts SET closed_at = NULL WHERE id = ?').run(id);
}

/** Names by account id, the closed ones' too. */
export function namesOfPeople(db: Database): ReadonlyMap<string, string> {
  const rows = prepared<[], { id: string; name: string }>(db, 'SELECT id, name FROM accounts');
  return new Map(rows.all().map(({ id, name }) => [id, name]));
}

/** Whether a job can be somebody's: an inspector's or an owner's account that is open. */
export const canScope = (db: Database, id: string): boolean =>
  prepared<[string]>(
    db,
    `SELECT 1 FROM accounts WHERE id = ? AND closed_at IS NULL AND role IN ('inspector', 'owner')`,
  ).get(id) !== undefined;
