import { mediaTypeOf } from '#core/interchange/media-type';
import type { UnsentChange, UnsentWork } from '#core/interchange/unsent-work';
import type { Entry } from '#core/model/log/entry';
import { noteDeed } from '../deeds';
import { storeEdits } from '../edits';
import { logEntries } from '../entries';
import { Refusal, refuseConflict, refuseUnknown } from '../http/answer';
import { installationOf } from '../installation';
import { revEvenRemoved } from '../jobs';
import { storeMedia } from '../media/media';
import { namesOfPeople } from '../people/accounts';
import { personOf, requireRight } from '../security/caller';
import { service, type ServiceCall } from './service';

/** What came of a file of unsent work. */
export type ImportedUnsent = {
  /** The first job that something was brought in for. */
  readonly id: string;
  readonly outcome: 'stored' | 'known';
  readonly jobs: number;
  readonly changes: number;
};

type JobWork = { readonly jobId: string; readonly changes: readonly UnsentChange[] };

/** The changes of a file by job, in the order of the file. */
function splitByJob({ changes }: UnsentWork): JobWork[] {
  const jobs = new Map<string, UnsentChange[]>();
  for (const change of changes) jobs.set(change.jobId, [...(jobs.get(change.jobId) ?? []), change]);
  return [...jobs].map(([jobId, list]) => ({ jobId, changes: list }));
}

/** Whose work the changes are, as the file says: names where accounts are known. */
function sayMakers({ db }: ServiceCall, changes: readonly UnsentChange[]): string {
  const names = namesOfPeople(db);
  const makers = new Set(changes.map(({ by }) => (by === undefined ? '' : (names.get(by) ?? by))));
  return [...makers].filter(Boolean).join(' and ') || 'somebody without an account';
}

async function bringIn(call: ServiceCall, work: UnsentWork, { jobId, changes }: JobWork) {
  const { db, stores, caller, nowMs } = call;
  const now = new Date(nowMs).toISOString();
  const person = personOf(caller);
  let stored = 0;
  for (const { id, saidAt, base, change } of changes) {
    if (change.what !== 'edits') continue;
    const { edits } = change;
    const sent = { id, device: work.device, saidAt, base, edits, caller };
    if (storeEdits(db, jobId, sent, now).outcome === 'stored') stored += 1;
  }
  const logs = new Map<string, Entry[]>();
  for (const { change } of changes)
    if (change.what === 'entry')
      logs.set(change.runId, [...(logs.get(change.runId) ?? []), change.entry]);
  for (const [runId, entries] of logs) {
    const { outcomes } = await logEntries(db, jobId, runId, entries, now, person);
    if (outcomes.includes('conflict')) throw refuseConflict('entry');
    stored += outcomes.filter((outcome) => outcome === 'stored').length;
  }
  for (const { id, bytes: text } of work.media.filter((one) => one.jobId === jobId)) {
    const bytes = Buffer.from(text, 'base64');
    const media = { type: mediaTypeOf(bytes) ?? 'application/octet-stream', bytes };
    if ((await storeMedia(db, stores, { jobId, id }, media, now)).outcome === 'stored') stored += 1;
  }
  if (stored > 0) {
    const detail = `${stored} that ${sayMakers(call, changes)} made, according to the file`;
    noteDeed(db, jobId, { what: 'brought-in', detail }, person, now);
  }
  return stored;
}

/**
 * Brings in what a device had not sent, from the file that it saved. Every job is asked for as if it were logged by hand;
 * where one may not be, nothing of the file is stored.
 *
 * @throws a refusal when the file is another Chert's, or of a job that is not here.
 */
export const importUnsent = service(
  'book',
  async (call, work: UnsentWork): Promise<ImportedUnsent> => {
    const { db, caller } = call;
    if (work.installation !== installationOf(db).id)
      throw new Refusal(
        409,
        'other-installation',
        'This file was saved for another Chert. Nothing was stored; import it there.',
      );
    const jobs = splitByJob(work);
    for (const { jobId } of jobs) {
      requireRight(db, caller, 'log', jobId);
      if (revEvenRemoved(db, jobId) === null) throw refuseUnknown('job');
    }
    let changes = 0;
    for (const job of jobs) changes += await bringIn(call, work, job);
    return {
      id: jobs[0]?.jobId ?? '',
      outcome: changes > 0 ? 'stored' : 'known',
      jobs: jobs.length,
      changes,
    };
  },
);
