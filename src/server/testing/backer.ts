import { alone } from '../backup/alone';
import { backUp } from '../backup/backup';
import { openData } from '../database';
import { mediaIn } from '../media/places';

// For the test of a backup that is killed: makes one after another, and says of each when it begins.
const [data = '', folder = ''] = process.argv.slice(2);
const db = openData(data);
for (let index = 0; ; index += 1) {
  await alone(folder, () => {
    process.stdout.write(`${index}\n`);
    return backUp(db, mediaIn(data), { folder, at: new Date().toISOString() });
  });
}
