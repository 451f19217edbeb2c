import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';

/** One numbered step of the database's shape. */
export type Migration = { readonly version: number; readonly name: string; readonly sql: string };

/** Reads the migrations of a folder. They are numbered from 1 without a gap, or it throws. */
export function readMigrations(folder: string): Migration[] {
  const files = readdirSync(folder)
    .filter((name) => name.endsWith('.sql'))
    .sort();
  return files.map((name, index) => {
    const version = Number(/^(\d{4})-/.exec(name)?.[1]);
    if (version !== index + 1) {
      throw new Error(`${name}: expected migration number ${index + 1}, got ${version}`);
    }
    return { version, name, sql: readFileSync(join(folder, name), 'utf8') };
  });
}

/** The version of a database's shape. */
export const versionOf = (database: Database, schema = 'main'): number =>
  database.pragma(`${schema}.user_version`, { simple: true }) as number;

/**
 * Brings a database up to date, each step and its version number in one transaction.
 *
 * @param schema the name under which the database is attached.
 * @returns the version afterwards. A database newer than the migrations throws and is left alone.
 */
export function migrate(
  database: Database,
  migrations: readonly Migration[],
  schema = 'main',
): number {
  const current = versionOf(database, schema);
  if (current > migrations.length) {
    throw new Error(
      `the database is at version ${current}, this Chert knows ${migrations.length}: update Chert`,
    );
  }
  for (const { version, sql } of migrations.slice(current)) {
    database.transaction(() => {
      database.exec(sql);
      database.pragma(`${schema}.user_version = ${version}`);
    })();
  }
  return migrations.length;
}
