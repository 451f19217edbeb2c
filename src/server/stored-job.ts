import type { Database } from 'better-sqlite3';
import type { StoredJob } from '#core/model/job/history';
import { listOverwritten } from './edits';
import { loadStored } from './inspections';
import { installationOf } from './installation';

/** Reads a job for its pages; `null` when there is none. */
export function loadStoredJob(db: Database, jobId: string): StoredJob | null {
  const stored = loadStored(db, jobId);
  if (!stored) return null;
  const { id, era } = installationOf(db);
  return { ...stored, installation: id, era, told: listOverwritten(db, jobId) };
}
