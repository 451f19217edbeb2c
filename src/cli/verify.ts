import { resolve } from 'node:path';
import { listBackups, readManifest, verifyBackup } from '#server/backup/backup';
import { backupsFolder } from '#server/backup/schedule';
import { dataFolder } from '#server/database';

// npm run verify -- FOLDER: reads every backup again, every byte of it.
const said = process.argv[2];
const folder = said === undefined ? backupsFolder(dataFolder()) : resolve(said);
const names = listBackups(folder);
if (names.length === 0) {
  console.error(`${folder}: expected backups, got none`);
  process.exit(2);
}
let isBad = false;
for (const name of names) {
  const faults = await verifyBackup(folder, name).catch((error: unknown) => [String(error)]);
  isBad ||= faults.length > 0;
  if (faults.length > 0) console.error(`${name}: ${faults.join('; ')}`);
  else console.log(`${name}: whole, ${readManifest(folder, name).media.length} stills`);
}
process.exit(isBad ? 3 : 0);
