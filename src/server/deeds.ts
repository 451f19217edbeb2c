import type { Database } from 'better-sqlite3';
import type { DeedKind } from '#core/office/say-deed';
import type { SignedIn } from './people/sessions';
import { prepared } from './prepared';

/** Notes what somebody did to a job, for its history. */
export function noteDeed(
  db: Database,
  jobId: string,
  deed: { readonly what: DeedKind; readonly detail?: string },
  who: SignedIn | null,
  now: string,
): void {
  prepared(db, 'INSERT INTO deeds (job_id, what, detail, session, at) VALUES (?, ?, ?, ?, ?)').run(
    jobId,
    deed.what,
    deed.detail ?? '',
    who?.sessionId ?? null,
    now,
  );
}
