import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/interchange/inspection-file';
import { daysToNow, moveDays } from '#core/interchange/move-days';
import type { Firm } from '#core/model/firm/firm';
import { database } from '#server/database';
import { storeInspection } from '#server/inspections';
import { storeMedia } from '#server/media/media';
import { mediaStores } from '#server/media/places';
import { loadPreferences, storePreferences } from '#server/preferences';

const DEMO_FOLDER = join(process.cwd(), 'demo');
const now = new Date();

/** Stores the stills of a demo job, drawn by the simulated camera. */
async function storeStills(jobId: string): Promise<void> {
  const folder = join(DEMO_FOLDER, 'stills', jobId);
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    const media = { type: 'image/jpeg', bytes: readFileSync(join(folder, name)) };
    const place = { jobId, id: name.replace(/\.jpg$/, '') };
    await storeMedia(database(), mediaStores(), place, media, now.toISOString());
  }
}

// A firm that somebody has set up already is theirs.
const preferences = loadPreferences(database());
if (preferences.firm === undefined) {
  const firm = JSON.parse(readFileSync(join(DEMO_FOLDER, 'firm.json'), 'utf8')) as Firm;
  storePreferences(database(), { ...preferences, firm });
}

for (const name of readdirSync(DEMO_FOLDER).sort()) {
  if (!name.endsWith('.chert.json')) continue;
  const outcome = readInspectionFile(readFileSync(join(DEMO_FOLDER, name), 'utf8'));
  if (!outcome.ok) throw new Error(`demo/${name}\n${outcome.faults.map(sayFault).join('\n')}`);
  const { job, runs } = outcome.value;
  const days = daysToNow(job.scheduledFor, runs.length > 0, now.getTime());
  const stored = storeInspection(database(), moveDays(outcome.value, days), now.toISOString());
  if (stored === 'stored') await storeStills(job.id);
  // A job that somebody has worked on since is theirs: it is left as it is.
  console.log(`demo/${name}: ${stored === 'stored' ? 'added' : 'already here'}`);
}
