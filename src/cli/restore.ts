import { resolve } from 'node:path';
import { listBackups } from '#server/backup/backup';
import { restore } from '#server/backup/restore';
import { backupsFolder } from '#server/backup/schedule';
import { dataFolder } from '#server/database';
import { runningPid } from '#server/running';

// npm run restore -- FOLDER [NAME]: puts the data folder back to a backup, the latest when none is named.
process.umask(0o077);
const data = dataFolder();
const [said, wanted] = process.argv.slice(2);
const folder = said === undefined ? backupsFolder(data) : resolve(said);
const names = listBackups(folder);
const name = wanted ?? names[0];
const fail = (text: string): never => {
  console.error(text);
  process.exit(2);
};
const pid = runningPid(data);
if (pid !== null) fail(`${data}: Chert runs on it (process ${pid}). Stop it first.`);
if (name === undefined || !names.includes(name))
  fail(
    `${folder}: expected ${wanted ?? 'a backup'}, got ${names.slice(0, 5).join(', ') || 'none'}`,
  );
try {
  const { stills, elsewhere, aside } = await restore(folder, name!, data, new Date().toISOString());
  console.log(`${data}: restored from ${name} with ${stills} stills and recordings’ pieces`);
  if (elsewhere > 0)
    console.log(`${elsewhere} more were left in their bucket, and lie there still`);
  if (aside) console.log(`What was there before lies in ${aside}`);
  console.log('Devices offer again what this backup does not have, as soon as they open a job.');
} catch (error) {
  fail(`${folder}: ${error instanceof Error ? error.message : String(error)}`);
}
