import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { backUp, prune } from '#server/backup/backup';
import { backupsFolder, readLast, writeLast } from '#server/backup/schedule';
import { dataFolder, openDatabase } from '#server/database';
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
  const db = openDatabase(join(data, 'chert.db'));
  const name = await backUp(db, data, folder, now);
  db.close();
  prune(folder);
  writeLast(folder, { at: now, trouble: null });
  console.log(`${join(folder, name)}: backed up and read again`);
} catch (error) {
  const trouble = sayStartTrouble(folder, error);
  console.error(trouble);
  try {
    writeLast(folder, { at: readLast(folder).at, trouble });
  } catch {
    // Where nothing can be written there is nothing to say it in; the exit code does.
  }
  process.exit(3);
}
