import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import Sqlite, { type Database } from 'better-sqlite3';
import { databasePath, generationFolder, refuseMissing } from './data-folder';
import { adoptEarlier } from './media/adopt';
import { migrate, readMigrations, versionOf } from './migrate';
import { mergeRestoredAccess } from './security/merge-access';
import {
  attachSecurity,
  copyAccess,
  LAST_WITH_ACCESS,
  SECURITY_FILE,
} from './security/security-database';

/** Chert's own folder: `CHERT_ROOT`, else the one above this file that has Chert's `package.json`. */
export function rootFolder(): string {
  const said = process.env['CHERT_ROOT'];
  if (said) return said;
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!isRoot(folder)) {
    const above = dirname(folder);
    if (above === folder) return process.cwd();
    folder = above;
  }
  return folder;
}

function isRoot(folder: string): boolean {
  const path = join(folder, 'package.json');
  if (!existsSync(path)) return false;
  return (JSON.parse(readFileSync(path, 'utf8')) as { name?: string }).name === 'chert';
}

/**
 * The folder with the database: `CHERT_DATA`, else `.chert` in Chert's own folder, wherever it is started
 * from: the same Chert never shows another log for having been started elsewhere.
 */
export function dataFolder(): string {
  const said = process.env['CHERT_DATA'];
  return said ? resolve(said) : join(rootFolder(), '.chert');
}

/** Where the numbered `.sql` files are. */
export const migrationsFolder = (): string => join(rootFolder(), 'src/server/migrations');

/** How long a thread waits for another's writing, ms. */
const BUSY_MS = 5_000;

/**
 * Opens a database file, with the one of everything that grants access attached to it, and brings both up to date. WAL
 * with `synchronous=FULL`: what was acknowledged is on the disk, whatever happens to the process or the power.
 *
 * @param securityPath the file of what grants access; the one beside the database while none is named.
 */
export function openDatabase(
  path: string,
  securityPath = join(dirname(path), SECURITY_FILE),
): Database {
  const database = new Sqlite(path, { timeout: BUSY_MS });
  database.pragma('journal_mode = WAL');
  database.pragma('synchronous = FULL');
  database.pragma('foreign_keys = ON');
  const migrations = readMigrations(migrationsFolder());
  keepBefore(database, dirname(securityPath), migrations.length);
  attachSecurity(database, securityPath, migrationsFolder());
  if (versionOf(database) <= LAST_WITH_ACCESS) {
    migrate(database, migrations.slice(0, LAST_WITH_ACCESS));
    copyAccess(database);
  }
  migrate(database, migrations);
  return database;
}

/** Keeps a copy of a database of an older shape before it is changed. */
function keepBefore(database: Database, dataFolder: string, latest: number): void {
  const version = versionOf(database);
  if (version === 0 || version >= latest) return;
  const folder = join(dataFolder, 'backups');
  mkdirSync(folder, { recursive: true });
  const copy = join(folder, `before-migration-${version + 1}.db`);
  // Left by a migration that did not come to its end: what is there now is the same.
  rmSync(copy, { force: true });
  database.prepare('VACUUM INTO ?').run(copy);
}

/**
 * Opens a data folder: its database, and what an earlier Chert or a restore left in it, all brought up to date.
 *
 * @throws {DatabaseMissing} where it has had a database and has none.
 */
export function openData(folder: string): Database {
  refuseMissing(folder);
  mkdirSync(folder, { recursive: true });
  const db = openDatabase(databasePath(folder), join(folder, SECURITY_FILE));
  mergeRestoredAccess(db, generationFolder(folder));
  adoptEarlier(db, folder);
  return db;
}

let shared: Database | null = null;

/** The app's one database in this thread, opened at first use. */
export function database(): Database {
  shared ??= openData(dataFolder());
  return shared;
}
