import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { daysToNow, moveDays } from '#core/interchange/move-days';
import { database } from '#server/database';
import { storeInspection } from '#server/inspections';

const DEMO_FOLDER = join(process.cwd(), 'demo');
const now = new Date();

for (const name of readdirSync(DEMO_FOLDER).sort()) {
  if (!name.endsWith('.chert.json')) continue;
  const outcome = readInspectionFile(readFileSync(join(DEMO_FOLDER, name), 'utf8'));
  if (!outcome.ok) throw new Error(`demo/${name}\n${outcome.faults.map(sayFault).join('\n')}`);
  const { job, runs } = outcome.value;
  const days = daysToNow(job.scheduledFor, runs.length > 0, now.getTime());
  const stored = storeInspection(database(), moveDays(outcome.value, days), now.toISOString());
  // A job that somebody has worked on since is theirs: it is left as it is.
  console.log(`demo/${name}: ${stored === 'stored' ? 'added' : 'already here'}`);
}
