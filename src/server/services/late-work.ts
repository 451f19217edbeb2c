import { noteDeed } from '../deeds';
import { storeEdits } from '../edits';
import { logEntries } from '../entries';
import {
  decideHeld,
  type HeldWork,
  listHeld as listAllHeld,
  listWaitingChanges,
  type WaitingChange,
} from '../held-work';
import { refuseConflict, refuseUnknown } from '../http/answer';
import { bringBack } from '../jobs';
import { listLateJobs as listJobsWithLate, noteIfLate, seeLate as see } from '../late-work';
import { storeContentRow } from '../media/media';
import { findAccount } from '../people/accounts';
import { listHolding } from '../people/devices';
import type { SignedIn } from '../people/sessions';
import { type DeviceCaller, personOf } from '../security/caller';
import { jobService, service, type ServiceCall } from './service';

/** Notes that somebody has seen the late work of a job. */
export const seeLateWork = jobService('agree', ({ db, caller, nowMs }, jobId): void => {
  const now = new Date(nowMs).toISOString();
  see(db, jobId, now);
  noteDeed(db, jobId, { what: 'late-seen' }, personOf(caller), now);
});

/** All late work that nobody has seen yet, by job. */
export const listLateJobs = service('read', ({ db }) => listJobsWithLate(db));

/** Brings a job back on the list that was taken off it. */
export const bringJobBack = service('firm', ({ db, caller, nowMs }, jobId: string): void => {
  if (!bringBack(db, jobId)) throw refuseUnknown('job that was taken off the list');
  noteDeed(db, jobId, { what: 'brought-back' }, personOf(caller), new Date(nowMs).toISOString());
});

/** Devices that held something unsent when they were last in contact, the longest first. */
export const listHoldingDevices = service('firm', ({ db }) => listHolding(db));

/** What ended devices have sent, which waits to be looked at. */
export const listHeld = service('people', ({ db }) => listAllHeld(db));

type HeldKey = Pick<HeldWork, 'jobId' | 'deviceId' | 'accountId'>;

/** Takes what an ended device has sent on a job, under its maker's name, or leaves it out. It stays on record. */
export const decideOnHeld = service(
  'people',
  async (call, key: HeldKey, isTaken: boolean): Promise<number> => {
    const { db, caller, nowMs } = call;
    const changes = listWaitingChanges(db, key);
    if (isTaken) await takeChanges(call, key, changes);
    const now = new Date(nowMs).toISOString();
    const detail = findAccount(db, key.accountId)?.name ?? '';
    db.transaction(() => {
      decideHeld(db, key, isTaken, now);
      const what = isTaken ? 'held-taken' : 'held-left';
      noteDeed(db, key.jobId, { what, detail }, personOf(caller), now);
    }).immediate();
    return changes.length;
  },
);

/** The device as it would have handed over what waited, had it not been ended. */
const heldBy = ({ jobId, deviceId }: HeldKey, person: SignedIn): DeviceCaller => ({
  kind: 'device',
  deviceId,
  jobId,
  person,
  after: 'the device was ended',
  isEnded: false,
  mayLog: true,
  mayAgree: true,
});

/** Stores what waited: facts first, as runs come with them; then each run's entries in one go; then stills. */
async function takeChanges(
  { db, nowMs }: ServiceCall,
  key: HeldKey,
  changes: readonly WaitingChange[],
): Promise<void> {
  const { jobId, accountId } = key;
  const now = new Date(nowMs).toISOString();
  const account = findAccount(db, accountId);
  if (!account) return;
  const { id, name, role } = account;
  const signer = (session: string | null) => ({ id, name, role, sessionId: session ?? '' });
  const logs = new Map<string, WaitingChange[]>();
  for (const one of changes) {
    const { change, session } = one;
    if (change.what === 'edits')
      storeEdits(db, jobId, { ...change, caller: heldBy(key, signer(session)) }, now);
    else if (change.what === 'entry')
      logs.set(change.runId, [...(logs.get(change.runId) ?? []), one]);
  }
  for (const [runId, log] of logs) {
    const entries = log.flatMap(({ change }) => (change.what === 'entry' ? [change.entry] : []));
    const device = heldBy(key, signer(log[0]!.session));
    const { outcomes } = await logEntries(db, jobId, runId, entries, now, device.person, (count) =>
      noteIfLate(db, jobId, device, { kind: 'entries', count, bytes: 0 }, now),
    );
    // Nothing of it is decided then: it waits on, and is said to be another's.
    if (outcomes.includes('conflict')) throw refuseConflict('entry');
  }
  for (const { change, session } of changes) {
    if (change.what !== 'media') continue;
    const count = storeContentRow(db, { jobId, id: change.mediaId }, change, now) ? 1 : 0;
    const device = heldBy(key, signer(session));
    noteIfLate(db, jobId, device, { kind: 'media', count, bytes: change.bytes }, now);
  }
}
