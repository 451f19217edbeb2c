import type { Database } from 'better-sqlite3';
import type { Inspection } from '#core/job/inspection';
import { installationOf } from './installation';
import { loadStored } from './inspections';
import { listOverwritten } from './edits';
import type { Overwritten } from '#core/job/history';

/** A job as a page brings it to a device: what it shows, and by whom. */
export type StoredJob = {
  readonly inspection: Inspection;
  readonly rev: number;
  readonly installation: string;
  readonly era: string;
  /** What two devices set without seeing each other. */
  readonly told: readonly Overwritten[];
};

/** Reads a job for its pages; `null` when there is none. */
export function loadStoredJob(db: Database, jobId: string): StoredJob | null {
  const stored = loadStored(db, jobId);
  if (!stored) return null;
  const { id, era } = installationOf(db);
  return { ...stored, installation: id, era, told: listOverwritten(db, jobId) };
}
