import type { Database } from 'better-sqlite3';
import type { StoredJob } from '#core/model/job/history';
import { sayLate } from '#core/office/say-late';
import { listOverwritten } from './edits';
import { loadStored } from './inspections';
import { installationOf } from './installation';
import { listLate } from './late-work';
import { findAccount } from './people/accounts';
import { type Caller, callerHasRight, personOf } from './security/caller';

/**
 * Reads a job for its pages; `null` when there is none.
 *
 * @param needs what it takes to do something on the page that shows it.
 */
export function loadStoredJob(
  db: Database,
  jobId: string,
  caller: Caller | null,
  needs: 'agree' | 'log' = 'log',
): StoredJob | null {
  const stored = loadStored(db, jobId);
  if (!stored) return null;
  const { id, era } = installationOf(db);
  const { assignedTo } = stored.inspection.job;
  const who = personOf(caller);
  return {
    ...stored,
    installation: id,
    era,
    told: listOverwritten(db, jobId),
    late: listLate(db, jobId).map(sayLate),
    who: who && { id: who.id, name: who.name, role: who.role },
    readOnly: whyReadOnly(db, assignedTo, caller, needs),
  };
}

/** Why somebody may only read a job; `null` where they may do something to it. */
function whyReadOnly(
  db: Database,
  assignedTo: string | undefined,
  caller: Caller | null,
  needs: 'agree' | 'log',
): string | null {
  const who = personOf(caller);
  if (callerHasRight(db, caller, needs, who !== null && assignedTo === who.id)) return null;
  if (who?.role === 'office')
    return 'The office reads along here: what is logged and how it is judged is the inspector’s.';
  const name = assignedTo === undefined ? undefined : findAccount(db, assignedTo)?.name;
  const whose = name === undefined ? 'This is nobody’s job yet' : `This is ${name}’s job`;
  return `${whose}: you read along. What is pressed here changes nothing.`;
}
