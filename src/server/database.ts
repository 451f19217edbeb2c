import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { migrate, migrationsFolder, readMigrations } from './migrate';

/** The folder with the database: `CHERT_DATA`, else `.chert` in the working directory. */
export function dataFolder(): string {
  return resolve(process.env['CHERT_DATA'] ?? '.chert');
}

/**
 * Opens a database file and brings it up to date. WAL with `synchronous=FULL`: what was acknowledged
 * is on the disk, whatever happens to the process or the power.
 */
export function openDatabase(path: string): Database {
  const database = new Sqlite(path, { timeout: 5_000 });
  database.pragma('journal_mode = WAL');
  database.pragma('synchronous = FULL');
  database.pragma('foreign_keys = ON');
  migrate(database, readMigrations(migrationsFolder()));
  return database;
}

let shared: Database | null = null;

/** The app's one database, opened at first use. */
export function database(): Database {
  if (shared === null) {
    mkdirSync(dataFolder(), { recursive: true });
    shared = openDatabase(join(dataFolder(), 'chert.db'));
  }
  return shared;
}
