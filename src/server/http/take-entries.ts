import { sayGot } from '#core/base/fault';
import { checkEntry } from '#core/model/log/entry.schema';
import { database } from '../database';
import { logEntries } from '../entries';
import { revOf } from '../jobs';
import { hasPart } from '../parts';
import type { SignedIn } from '../people/sessions';
import { type Answer, refuseConflict, refuseFaults, refuseUnknown } from './answer';

/** The most entries taken at once; a device that was offline long sends several times. */
const MOST_ENTRIES = 1_000;

/** Appends entries to a run's log. Answered, entry by entry, only when they are on the disk. */
export async function takeEntries(
  jobId: string,
  runId: string,
  body: unknown,
  who: SignedIn | null = null,
): Promise<Answer> {
  const db = database();
  if (revOf(db, jobId) === null) throw refuseUnknown('job');
  if (!hasPart(db, 'runs', jobId, runId)) throw refuseUnknown('run');
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
  const now = new Date().toISOString();
  const { outcomes, ...step } = await logEntries(db, jobId, runId, entries, now, who);
  if (outcomes.includes('conflict')) throw refuseConflict('entry');
  const named = entries.map(({ id }, index) => ({ id, outcome: outcomes[index] }));
  return {
    status: outcomes.includes('stored') ? 201 : 200,
    body: { outcomes: named, ...step },
  };
}
