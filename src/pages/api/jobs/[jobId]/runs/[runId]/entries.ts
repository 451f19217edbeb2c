import { sayGot } from '#core/base/fault';
import { checkEntry } from '#core/model/log/entry.schema';
import { database } from '#server/database';
import { logEntries } from '#server/entries';
import { answer, refuseConflict, refuseFaults, refuseUnknown } from '#server/http/answer';
import { readJson } from '#server/http/body';
import { endpoint } from '#server/http/endpoint';
import { BODY_LIMITS } from '#server/http/limits';
import { knownJobId, refuseMethod } from '#server/http/params';
import { hasPart } from '#server/parts';

/** The most entries taken at once; a device that was offline long sends several times. */
const MOST_ENTRIES = 1_000;

/** Appends entries to a run's log. Answered, entry by entry, only when they are on the disk. */
export const POST = endpoint(async (context) => {
  const body = await readJson(context.request, BODY_LIMITS.record);
  const jobId = knownJobId(context);
  const runId = context.params['runId'] ?? '';
  if (!hasPart(database(), 'runs', jobId, runId)) throw refuseUnknown('run');
  const sent = (body as { entries?: unknown } | null)?.entries;
  if (!Array.isArray(sent) || sent.length === 0 || sent.length > MOST_ENTRIES) {
    const got = sayGot(sent);
    throw refuseFaults([
      { path: 'entries', expected: `a list of 1 to ${MOST_ENTRIES} entries`, got },
    ]);
  }
  const checked = sent.map((entry, index) => checkEntry(entry, ['entries', index]));
  const faults = checked.flatMap((outcome) => (outcome.ok ? [] : outcome.faults));
  if (faults.length > 0) throw refuseFaults(faults);
  const entries = checked.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
  const { outcomes, ...step } = logEntries(
    database(),
    jobId,
    runId,
    entries,
    new Date().toISOString(),
  );
  if (outcomes.includes('conflict')) throw refuseConflict('entry');
  const named = entries.map(({ id }, index) => ({ id, outcome: outcomes[index] }));
  return answer({ outcomes: named, ...step }, outcomes.includes('stored') ? 201 : 200);
});

export const ALL = endpoint(() => {
  throw refuseMethod('POST');
});
