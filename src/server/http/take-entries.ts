import { sayGot } from '#core/base/fault';
import { checkEntry } from '#core/model/log/entry.schema';
import { hasRun, jobRevision, logEntries } from '../services/jobs';
import type { ServiceCall } from '../services/service';
import { type Answer, refuseConflict, refuseFaults, refuseUnknown } from './answer';

/** The most entries taken at once; a device that was offline long sends several times. */
const MOST_ENTRIES = 1_000;

/** Appends entries to a run's log. Answered, entry by entry, only when they are on the disk. */
export async function takeEntries(
  call: ServiceCall,
  jobId: string,
  runId: string,
  body: unknown,
): Promise<Answer> {
  if (jobRevision(call, jobId) === null) throw refuseUnknown('job');
  if (!hasRun(call, jobId, runId)) throw refuseUnknown('run');
  const sent = (body as { entries?: unknown } | null)?.entries;
  if (!Array.isArray(sent) || sent.length === 0 || sent.length > MOST_ENTRIES) {
    const got = sayGot(Array.isArray(body) ? body : sent);
    throw refuseFaults([
      { path: 'entries', expected: `a list of 1 to ${MOST_ENTRIES} entries`, got },
    ]);
  }
  const checked = sent.map((entry, index) => checkEntry(entry, ['entries', index]));
  const faults = checked.flatMap((outcome) => (outcome.ok ? [] : outcome.faults));
  if (faults.length > 0) throw refuseFaults(faults);
  const entries = checked.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
  const { outcomes, ...step } = await logEntries(call, jobId, runId, entries);
  if (outcomes.includes('conflict')) throw refuseConflict('entry');
  const named = entries.map(({ id }, index) => ({ id, outcome: outcomes[index] }));
  return {
    status: outcomes.includes('stored') ? 201 : 200,
    body: { outcomes: named, ...step },
  };
}
