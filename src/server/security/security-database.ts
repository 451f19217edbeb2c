import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { migrate, readMigrations } from '../migrate';

/** The file of everything that grants access, beside the data. */
export const SECURITY_FILE = 'security.db';
/** The name by which statements may say that they mean it; tables that are there alone need none. */
export const SECURITY = 'security';

/** The last shape of the database of jobs that still held what grants access. */
export const LAST_WITH_ACCESS = 8;

/** Tables that were moved out of the database of jobs, each before those that refer to it, with their columns. */
const MOVED: readonly (readonly [table: string, columns: string, values?: string])[] = [
  [
    'accounts',
    'id, name, mail, role, password, created_at, closed_at, home, preferences, feed_sha256, reminded, reminded_on',
  ],
  [
    'sessions',
    'id, account_id, secret_sha256, device, begun_at, seen_at, ended_at, confirmed_at',
    'id, account_id, secret_sha256, device, begun_at, seen_at, ended_at, begun_at',
  ],
  ['invitations', 'secret_sha256, account_id, created_at, expires_at, used_at'],
  ['passkeys', 'id, account_id, public_key, counter, label, created_at, used_at'],
  ['share_links', 'id, job_id, secret_sha256, label, reader, created_at, expires_at, revoked_at'],
  ['secrets', 'name, value'],
];

/**
 * Attaches the file of everything that grants access to a database of jobs, and brings it up to date. A statement
 * reaches its tables by their names alone.
 *
 * @param path the file, or `:memory:`.
 */
export function attachSecurity(db: Database, path: string, migrationsFolder: string): void {
  db.prepare(`ATTACH ? AS ${SECURITY}`).run(path);
  db.pragma(`${SECURITY}.journal_mode = WAL`);
  db.pragma(`${SECURITY}.synchronous = FULL`);
  migrate(db, readMigrations(join(migrationsFolder, SECURITY)), SECURITY);
}

/**
 * Copies what grants access out of a database of jobs of an older shape. What is there already stands: it is newer.
 * Safe to be run again where it was cut short, as long as the old tables are still there.
 */
export function copyAccess(db: Database): void {
  db.transaction(() => {
    for (const [table, columns, values = columns] of MOVED) {
      const from =
        table === 'secrets'
          ? `(SELECT 'access-token' AS name, access_token AS value FROM main.installation)`
          : `main.${table}`;
      db.exec(
        `INSERT OR IGNORE INTO ${SECURITY}.${table} (${columns}) SELECT ${values} FROM ${from}`,
      );
    }
  }).immediate();
}
