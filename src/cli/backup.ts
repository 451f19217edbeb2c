import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { USUAL_BACKUPS } from '#core/office/backups';
import { alone } from '#server/backup/alone';
import { backUp, clearHalf, prune } from '#server/backup/backup';
import { backupsFolder, readLast, writeLast } from '#server/backup/schedule';
import { dataFolder, openData } from '#server/database';
import { mediaStores } from '#server/media/places';
import { loadPreferences } from '#server/preferences';
import { sayStartTrouble } from './start-trouble';

// npm run backup -- FOLDER: backs up while Chert runs. Without a folder, where the nightly ones go.
process.umask(0o077);
const data = dataFolder();
const own = backupsFolder(data);
const said = process.argv[2];
const folder = said === undefined ? own : resolve(said);
const now = new Date().toISOString();
mkdirSync(folder, { recursive: true });
try {
  const db = openData(data);
  const { days, leavesBuckets } = loadPreferences(db).backups ?? USUAL_BACKUPS;
  const name = await alone(folder, async () => {
    clearHalf(folder);
    const made = await backUp(db, mediaStores(), { folder, at: now, leavesBuckets });
    prune(folder, days);
    return made;
  });
  db.close();
  writeLast(folder, { at: now, trouble: null });
  console.log(`${join(folder, name)}: backed up and read again`);
} catch (error) {
  const trouble = sayStartTrouble(folder, error);
  console.error(trouble);
  try {
    writeLast(folder, { at: readLast(folder).at, trouble, triedAt: now });
  } catch {
    // Where nothing can be written there is nothing to say it in; the exit code does.
  }
  process.exit(3);
}
