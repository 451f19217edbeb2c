import type { Database } from 'better-sqlite3';
import { noteDeed } from './deeds';
import { removeJob } from './jobs';
import type { SignedIn } from './people/sessions';

/** Takes a job off the list, under somebody's name; nothing of it is deleted. */
export function takeOff(db: Database, jobId: string, who: SignedIn | null, now: string): void {
  if (removeJob(db, jobId, now)) noteDeed(db, jobId, { what: 'removed' }, who, now);
}
