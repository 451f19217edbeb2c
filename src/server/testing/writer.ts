import { openDatabase } from '../database';
import { appendEntries } from '../entries';

// For the test of a backup under load: logs one entry after another, and says of each when it is on the disk.
const db = openDatabase(process.argv[2]!);
for (let index = 1; ; index += 1) {
  const at = new Date().toISOString();
  const note = {
    id: `w${index}`,
    at,
    pass: 'out',
    readingFt: 1,
    kind: 'note',
    note: 'x'.repeat(500),
  } as const;
  appendEntries(db, 'demo-alder-bend', 'R1', [note], at);
  process.stdout.write(`${index}\n`);
}
