import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import {
  DATABASE_FILE,
  databasePath,
  generationFolder,
  GENERATIONS_FOLDER,
  switchTo,
} from '../data-folder';
import { migrationsFolder, openDatabase } from '../database';
import { beginEra } from '../installation';
import { folderStore, placeOfContent } from '../media/folder-store';
import { IN_FOLDER } from '../media/store';
import { readMigrations } from '../migrate';
import { signOutAll } from '../people/sessions';
import { RESTORED_SECURITY_FILE } from '../security/merge-access';
import { SECURITY_FILE } from '../security/security-database';
import { readManifest, verifyBackup } from './backup';
import { type Manifest, nameOf } from './manifest';

/** What a restore did. */
export type Restored = {
  readonly stills: number;
  /** How many the backup left in a bucket; they are read from there. */
  readonly elsewhere: number;
  /** Where what was there before lies now; `null` where there was nothing. */
  readonly aside: string | null;
};

/** The end of the name of a generation that is being made. */
const HALF = '.part';
/** A database with what was not written into it yet. */
const PARTS = ['', '-wal', '-shm'];

/** @throws where a backup was made by a newer Chert, before anything is touched. */
function refuseNewer({ databaseVersion }: Manifest): void {
  const known = readMigrations(migrationsFolder()).length;
  if (databaseVersion > known)
    throw new Error(
      `the backup is of version ${databaseVersion}, this Chert knows ${known}: update Chert. Nothing was changed`,
    );
}

/**
 * Makes the restored database ready in a folder of its own, beside what is there: nothing reads it before the switch.
 * What the backup knows of access lies with it, signed out everywhere; it is merged when the folder is opened.
 */
function stage(from: string, half: string, { media }: Manifest, at: string): void {
  rmSync(half, { recursive: true, force: true });
  mkdirSync(half, { recursive: true });
  copyFileSync(join(from, DATABASE_FILE), join(half, DATABASE_FILE));
  const security = join(half, RESTORED_SECURITY_FILE);
  if (existsSync(join(from, SECURITY_FILE))) copyFileSync(join(from, SECURITY_FILE), security);
  const db = openDatabase(join(half, DATABASE_FILE), security);
  // What the backup holds lies in the data folder now, wherever it lay when it was made.
  const moved = db.prepare('UPDATE media SET place = ? WHERE job_id = ? AND id = ?');
  db.transaction(() => {
    for (const { jobId, id } of media) moved.run(IN_FOLDER, jobId, id);
  })();
  beginEra(db);
  // Where nothing newer is known, what was ended since the backup must not open anything again.
  signOutAll(db, at);
  for (const schema of ['main', 'security']) db.pragma(`${schema}.wal_checkpoint(TRUNCATE)`);
  db.close();
}

/** Puts the database that was there before aside; the switch is done, and whatever is left of it is harmless. */
function putAside(dataFolder: string, before: string, at: string): string {
  const aside = join(dataFolder, `before-restore-${nameOf(at)}`);
  mkdirSync(aside, { recursive: true });
  for (const part of PARTS) {
    const file = join(before, `${DATABASE_FILE}${part}`);
    if (existsSync(file)) renameSync(file, join(aside, `${DATABASE_FILE}${part}`));
  }
  return aside;
}

/**
 * Puts a data folder back to a backup, after reading all of that again: it is made ready beside what is there, stills
 * first, and one rename switches. Killed at any moment the folder is wholly as before or wholly as after. What was there
 * before is put aside, not deleted. Access does not go back: what was ended since stays ended. A new era begins, so that
 * devices offer again what the backup does not have.
 *
 * @throws when the backup is not as it was written, or of a newer Chert. Nothing was changed then.
 */
export async function restore(
  folder: string,
  name: string,
  dataFolder: string,
  at: string,
): Promise<Restored> {
  const manifest = readManifest(folder, name);
  refuseNewer(manifest);
  const faults = await verifyBackup(folder, name);
  if (faults.length > 0) throw new Error(`the backup is not whole:\n${faults.join('\n')}`);
  mkdirSync(dataFolder, { recursive: true });
  const before = existsSync(databasePath(dataFolder)) ? generationFolder(dataFolder) : null;
  const { media, elsewhere = [] } = manifest;
  const store = folderStore(dataFolder);
  for (const { sha256 } of media)
    await store.keep(sha256, readFileSync(placeOfContent(folder, sha256)));
  const generation = join(GENERATIONS_FOLDER, nameOf(at));
  const half = join(dataFolder, `${generation}${HALF}`);
  stage(join(folder, name), half, manifest, at);
  renameSync(half, join(dataFolder, generation));
  switchTo(dataFolder, generation);
  const aside = before === null ? null : putAside(dataFolder, before, at);
  return { stills: media.length, elsewhere: elsewhere.length, aside };
}
