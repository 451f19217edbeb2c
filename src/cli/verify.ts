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
  else {
    const { media, elsewhere = [] } = readManifest(folder, name);
    const left = elsewhere.length > 0 ? `; ${elsewhere.length} more were left in a bucket` : '';
    console.log(`${name}: whole, ${media.length} stills${left}`);
  }
}
process.exit(isBad ? 3 : 0);
