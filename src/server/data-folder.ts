import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SECURITY_FILE } from './security/security-database';
import { writeWhole } from './write-whole';

/** The database's name in the folder that holds it. */
export const DATABASE_FILE = 'chert.db';
/** Names the folder that holds the database, as a restore has switched to it; absent: the data folder itself. */
const CURRENT_FILE = 'current';
export const GENERATIONS_FOLDER = 'generations';

/** What a data folder holds beside its database: where one of these is, a database was. */
const BESIDE = [SECURITY_FILE, CURRENT_FILE, GENERATIONS_FOLDER, 'media', 'backups'];

/** The folder that holds the database of a data folder. */
export function generationFolder(folder: string): string {
  const path = join(folder, CURRENT_FILE);
  return existsSync(path) ? join(folder, readFileSync(path, 'utf8').trim()) : folder;
}

/** The database file of a data folder. */
export const databasePath = (folder: string): string =>
  join(generationFolder(folder), DATABASE_FILE);

/** Switches a data folder to the database in another folder of it, by one rename. */
export function switchTo(folder: string, generation: string): void {
  writeWhole(join(folder, CURRENT_FILE), Buffer.from(`${generation}\n`));
}

/** A data folder whose database is not where it was. */
export class DatabaseMissing extends Error {}

/** @throws {DatabaseMissing} where a folder has had a database and has none: an empty one would hide the loss. */
export function refuseMissing(folder: string): void {
  const path = databasePath(folder);
  if (existsSync(path) || !existsSync(folder)) return;
  const isFull = (name: string) => {
    const beside = join(folder, name);
    if (!existsSync(beside)) return false;
    return name === 'media' || name === 'backups' ? readdirSync(beside).length > 0 : true;
  };
  const found = BESIDE.filter(isFull);
  if (found.length === 0) return;
  throw new DatabaseMissing(
    `${path} is missing, and ${found.join(', ')} ${found.length === 1 ? 'is' : 'are'} there: Chert does not start with an empty database over that. Restore a backup (npm run restore -- FOLDER), put the database back, or set CHERT_DATA to another folder`,
  );
}
