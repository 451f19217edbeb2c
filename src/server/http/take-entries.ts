import { sayGot } from '#core/base/fault';
import { isSafeId, SAFE_ID_WORDS } from '#core/base/safe-id';
import type { Entry } from '#core/model/log/entry';
import { checkEntry } from '#core/model/log/entry.schema';
import { logEntries } from '../services/jobs';
import type { ServiceCall } from '../services/service';
import { type Answer, refuseConflict, refuseFaults } from './answer';

/** The most entries taken at once; a device that was offline long sends several times. */
const MOST_ENTRIES = 1_000;

/** @throws a refusal of ids that cannot stand in an address, before anything is stored. */
function refuseOddIds(entries: readonly Entry[]): void {
  const odd = entries.flatMap((entry, index) =>
    [
      ['id', entry.id] as const,
      ...(entry.photoIds ?? []).map((id, at) => [`photoIds.${at}`, id] as const),
      ...(entry.audioId === undefined ? [] : [['audioId', entry.audioId] as const]),
    ].flatMap(([field, id]) =>
      isSafeId(id)
        ? []
        : [{ path: `entries.${index}.${field}`, expected: SAFE_ID_WORDS, got: sayGot(id) }],
    ),
  );
  if (odd.length > 0) throw refuseFaults(odd);
}

/** Appends entries to a run's log. Answered, entry by entry, only when they are on the disk. */
export async function takeEntries(
  call: ServiceCall,
  jobId: string,
  runId: string,
  body: unknown,
): Promise<Answer> {
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
  refuseOddIds(sent as readonly Entry[]);
  const entries = checked.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
  const { outcomes, ...step } = await logEntries(call, jobId, runId, entries);
  if (outcomes.includes('conflict')) throw refuseConflict('entry');
  const named = entries.map(({ id }, index) => ({ id, outcome: outcomes[index] }));
  return {
    status: outcomes.includes('stored') ? 201 : 200,
    body: { outcomes: named, ...step },
  };
}
