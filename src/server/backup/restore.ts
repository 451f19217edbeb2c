import { copyFileSync, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { openDatabase } from '../database';
import { beginEra } from '../installation';
import { folderStore, placeOfContent } from '../media/folder-store';
import { IN_FOLDER } from '../media/store';
import { signOutAll } from '../people/sessions';
import { readManifest, verifyBackup } from './backup';
import { DATABASE_FILE, nameOf } from './manifest';

/** What a restore did. */
export type Restored = {
  readonly stills: number;
  /** How many the backup left in a bucket; they are read from there. */
  readonly elsewhere: number;
  /** Where what was there before lies now; `null` where there was nothing. */
  readonly aside: string | null;
};

/**
 * Puts a data folder back to a backup, after reading all of that again. What was there before is put aside,
 * not deleted. A new era begins, so that devices offer again what the backup does not have. Everybody is signed out:
 * what was ended since the backup must not open anything again.
 *
 * @throws when the backup is not as it was written. Nothing was changed then.
 */
export async function restore(
  folder: string,
  name: string,
  dataFolder: string,
  at: string,
): Promise<Restored> {
  const faults = await verifyBackup(folder, name);
  if (faults.length > 0) throw new Error(`the backup is not whole:\n${faults.join('\n')}`);
  mkdirSync(dataFolder, { recursive: true });
  const isThere = existsSync(join(dataFolder, DATABASE_FILE));
  const aside = isThere ? join(dataFolder, `before-restore-${nameOf(at)}`) : null;
  if (aside) {
    mkdirSync(aside);
    for (const part of ['', '-wal', '-shm']) {
      const file = `${DATABASE_FILE}${part}`;
      if (existsSync(join(dataFolder, file))) renameSync(join(dataFolder, file), join(aside, file));
    }
  }
  const { media, elsewhere = [] } = readManifest(folder, name);
  const store = folderStore(dataFolder);
  for (const { sha256 } of media)
    await store.keep(sha256, readFileSync(placeOfContent(folder, sha256)));
  // Under its own name only when it is whole.
  const half = join(dataFolder, `${DATABASE_FILE}.part`);
  copyFileSync(join(folder, name, DATABASE_FILE), half);
  renameSync(half, join(dataFolder, DATABASE_FILE));
  const db = openDatabase(join(dataFolder, DATABASE_FILE));
  // What the backup holds lies in the data folder now, wherever it lay when it was made.
  const moved = db.prepare('UPDATE media SET place = ? WHERE job_id = ? AND id = ?');
  db.transaction(() => {
    for (const { jobId, id } of media) moved.run(IN_FOLDER, jobId, id);
  })();
  beginEra(db);
  signOutAll(db, at);
  db.close();
  return { stills: media.length, elsewhere: elsewhere.length, aside };
}
