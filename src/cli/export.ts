import { resolve } from 'node:path';
import { database } from '#server/database';
import { exportAll } from '#server/export-all';
import { mediaStores } from '#server/media/places';
import { sayStartTrouble } from './start-trouble';

/** Exit codes: nothing was said of where to; what is wrong with the data or the folder. */
const BAD_INPUT = 1;
const DATA_TROUBLE = 3;

// npm run export -- FOLDER: everything as files, while Chert runs or not.
process.umask(0o077);
const said = process.argv[2];
if (said === undefined) {
  console.error('Expected a folder to write to, got nothing. Run: npm run export -- FOLDER');
  process.exit(BAD_INPUT);
}
const folder = resolve(said);
try {
  const { jobs, files, missing } = await exportAll(database(), mediaStores(), folder);
  database().close();
  console.log(`${folder}: ${files} files of ${jobs} jobs`);
  for (const one of missing) console.error(`not to be had: ${one}`);
} catch (error) {
  console.error(sayStartTrouble(folder, error));
  process.exit(DATA_TROUBLE);
}
