import { beforeEach, describe, expect, it } from 'vitest';
import type { Entry } from '#core/model/log/entry';
import { demoInspection } from '#core/testing/demo-inspections';
import { storeEdits } from '../edits';
import { listEntries } from '../entries';
import { listHistory } from '../history';
import { loadFacts, storeInspection } from '../inspections';
import { isRemoved } from '../jobs';
import { listLate } from '../late-work';
import { findMedia } from '../media/media';
import { closeAccount, createAccount, setPassword, setRole } from '../people/accounts';
import { writeDeviceCookie } from '../people/device-cookie';
import { endAccess } from '../people/end-access';
import { ownerOf } from '../people/make-owner';
import { beginSession, endDevice, endSession, findSignedIn } from '../people/sessions';
import { editJob, loadJobForPage, loadJobState, logEntries, removeJob } from '../services/jobs';
import { bringJobBack, decideOnHeld, listHeld } from '../services/late-work';
import { storeMedia } from '../services/media';
import { freshDatabase } from '../testing/fresh-database';
import { CHERT, DEVICE, SOURCE } from '../testing/people';
import type { Caller } from './caller';
import { findCustody } from './custody';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const NOW_MS = Date.parse(NOW);
const DAY_MS = 86_400_000;
const JOB = 'demo-alder-bend';
const RUN = 'R1';
let owner = '';
let ann = '';
let bo = '';
let secret = '';
beforeEach(() => {
  owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
  ann = createAccount(its.db, { name: 'Ann', mail: 'ann@x.example', role: 'inspector' }, NOW).id;
  bo = createAccount(its.db, { name: 'Bo', mail: 'bo@x.example', role: 'inspector' }, NOW).id;
  const alder = demoInspection('alder-bend');
  storeInspection(its.db, { ...alder, job: { ...alder.job, assignedTo: ann } }, NOW);
  ({ secret } = beginSession(its.db, ann, DEVICE, NOW));
  // The tablet opens the job while it is Ann's.
  loadJobForPage(callAs(annSignedIn()), JOB);
});
const annSignedIn = (): Caller => ({
  kind: 'person',
  person: findSignedIn(its.db, secret, NOW_MS)!,
});
const callAs = (caller: Caller | null, nowMs = NOW_MS) => ({
  ...its,
  caller,
  nowMs,
  source: SOURCE,
});
const asOwner = (): Caller => ({
  kind: 'person',
  person: { id: owner, name: 'Olive', role: 'owner', sessionId: 'owners' },
});
const proof = (more: object = {}) => ({
  secret,
  deviceCookie: undefined,
  accountId: ann,
  ...more,
});
const custody = (nowMs = NOW_MS, more: object = {}) => findCustody(its.db, proof(more), JOB, nowMs);
const lines = (from = 1): Entry[] =>
  Array.from({ length: 5 }, (_, index) => ({
    id: `line${from + index}`,
    at: '2026-11-03T08:00:00Z',
    pass: 'out',
    readingFt: 20 + index,
    kind: 'note',
    note: `offline ${index}`,
  }));
const logged = () =>
  (listEntries(its.db, JOB).get(RUN) ?? []).filter(({ id }) => id.startsWith('line'));
const giveTo = (id: string) =>
  storeEdits(
    its.db,
    JOB,
    {
      id: `give ${id}`,
      device: 'office',
      saidAt: NOW,
      base: 1,
      caller: CHERT,
      edits: [{ path: ['job', 'assignedTo'], value: id }],
    },
    NOW,
  );

describe('what was logged in the field is taken, whatever the office has done since', () => {
  it.each<[string, () => void, string]>([
    ['the job was given to somebody else', () => giveTo(bo), 'the job was given to Bo'],
    [
      'the job was taken off the list',
      () => removeJob(callAs(asOwner()), JOB),
      'the job was taken off the list',
    ],
    ['the account was closed', () => closeAccount(its.db, ann, NOW), 'the account was closed'],
    [
      'the role was changed',
      () => setRole(its.db, ann, 'reader', NOW),
      'the device was signed out',
    ],
    ['everything was signed out', () => endAccess(its.db, ann, NOW), 'the device was signed out'],
    [
      'the password was set anew',
      () => setPassword(its.db, ann, 'h2', NOW),
      'the device was signed out',
    ],
    [
      'all of that',
      () => {
        giveTo(bo);
        removeJob(callAs(asOwner()), JOB);
        closeAccount(its.db, ann, NOW);
      },
      'the account was closed',
    ],
  ])('%s', async (_, change, after) => {
    change();
    const device = custody();
    expect(device).toMatchObject({
      kind: 'device',
      person: { name: 'Ann' },
      after,
      isEnded: false,
    });
    const { outcomes } = await logEntries(callAs(device), JOB, RUN, lines());
    expect(outcomes).toEqual(Array.from({ length: 5 }, () => 'stored'));
    const edited = editJob(callAs(device), JOB, {
      id: 'fact',
      device: 'tablet',
      saidAt: NOW,
      base: 1,
      edits: [{ path: ['property', 'yearBuilt'], value: 1931 }],
    });
    expect(edited.outcome).toBe('stored');
    const still = { type: 'image/png', bytes: Buffer.from('a still') };
    expect((await storeMedia(callAs(device), JOB, 'still1', still)).outcome).toBe('stored');
    expect(logged()).toHaveLength(5);
    expect((await findMedia(its.db, its.stores, JOB, 'still1'))?.bytes.toString()).toBe('a still');
    // Under Ann's name, and marked.
    const history = listHistory(its.db, JOB);
    expect(history.find((one) => one.kind === 'logged' && one.count === 5)).toMatchObject({
      person: 'Ann',
    });
    expect(history.filter((one) => one.kind === 'deed' && one.says.includes(after))).toHaveLength(
      3,
    );
    expect(listLate(its.db, JOB).map(({ kind, count, person }) => [kind, count, person])).toEqual(
      expect.arrayContaining([
        ['entries', 5, 'Ann'],
        ['facts', 1, 'Ann'],
        ['media', 1, 'Ann'],
      ]) as never,
    );
    // Sent again after a lost answer, it is known, and nothing is told twice.
    const again = await logEntries(callAs(device), JOB, RUN, lines());
    expect(new Set(again.outcomes)).toEqual(new Set(['known']));
    expect(listLate(its.db, JOB)).toHaveLength(3);
  });

  it('from a device whose cookie alone is left, after signing out on it', async () => {
    const session = findSignedIn(its.db, secret, NOW_MS)!;
    endSession(its.db, ann, session.sessionId, NOW);
    const deviceCookie = writeDeviceCookie(its.db, DEVICE.id);
    const device = custody(NOW_MS, { secret: undefined, deviceCookie });
    expect(device).toMatchObject({ person: { name: 'Ann', sessionId: session.sessionId } });
    await logEntries(callAs(device), JOB, RUN, lines());
    expect(logged()).toHaveLength(5);
    // Under another session on the same device too.
    const bos = beginSession(its.db, bo, DEVICE, NOW);
    expect(custody(NOW_MS, { secret: bos.secret, deviceCookie })).toMatchObject({
      person: { name: 'Ann' },
    });
  });

  it('and a removed job stays removed until somebody brings it back', async () => {
    removeJob(callAs(asOwner()), JOB);
    await logEntries(callAs(custody()), JOB, RUN, lines());
    expect(isRemoved(its.db, JOB)).toBe(true);
    expect(() => bringJobBack(callAs(custody()), JOB)).toThrow();
    bringJobBack(callAs(asOwner()), JOB);
    expect(isRemoved(its.db, JOB)).toBe(false);
    expect(logged()).toHaveLength(5);
  });
});

describe('a handover opens nothing else', () => {
  it.each<[string, () => Caller | null]>([
    ['without a proof', () => custody(NOW_MS, { secret: undefined })],
    ['with a secret that is none', () => custody(NOW_MS, { secret: 'x' })],
    [
      'with a cookie that Chert did not sign',
      () => custody(NOW_MS, { secret: 'x', deviceCookie: 'D1.x' }),
    ],
    ['for work of somebody who never signed in there', () => custody(NOW_MS, { accountId: bo })],
    [
      'of a job that the device never had',
      () => findCustody(its.db, proof(), 'demo-mill-street', NOW_MS),
    ],
    ['after ninety days', () => custody(NOW_MS + 91 * DAY_MS)],
    [
      'once it has handed over more than anybody logs',
      () => {
        its.db.exec('UPDATE handed_jobs SET taken_count = 20000');
        return custody();
      },
    ],
  ])('%s', (_, find) => {
    expect(find()).toBeNull();
  });

  it('reads nothing, and touches no other job', () => {
    const device = custody();
    expect(() => loadJobState(callAs(device), JOB)).toThrow();
    expect(() => removeJob(callAs(device), 'demo-mill-street')).toThrow();
    expect(() => logEntries(callAs(device), 'demo-mill-street', RUN, lines())).toThrow();
    const give = () =>
      editJob(callAs(device), JOB, {
        id: 'give',
        device: 'tablet',
        saidAt: NOW,
        base: 1,
        edits: [{ path: ['job', 'assignedTo'], value: bo }],
      });
    expect(give).toThrow();
  });

  it('is had by nobody who only reads along', () => {
    const reader = beginSession(its.db, bo, { ...DEVICE, id: 'D2' }, NOW);
    loadJobForPage(
      callAs({ kind: 'person', person: findSignedIn(its.db, reader.secret, NOW_MS)! }),
      JOB,
    );
    expect(
      findCustody(its.db, { ...proof(), secret: reader.secret, accountId: bo }, JOB, NOW_MS),
    ).toBeNull();
  });
});

describe('what an ended device sends', () => {
  const endTablet = () =>
    endDevice(its.db, ann, findSignedIn(its.db, secret, NOW_MS)!.sessionId, NOW);
  const send = async () => {
    const device = custody();
    expect(device).toMatchObject({ isEnded: true, after: 'the device was ended' });
    const { outcomes } = await logEntries(callAs(device), JOB, RUN, lines());
    expect(new Set(outcomes)).toEqual(new Set(['held']));
    const fact = { id: 'fact', device: 'tablet', saidAt: NOW, base: 1 };
    const edits = [{ path: ['property', 'yearBuilt'], value: 1931 }];
    expect(editJob(callAs(device), JOB, { ...fact, edits }).outcome).toBe('held');
    const still = { type: 'image/png', bytes: Buffer.from('a still') };
    expect((await storeMedia(callAs(device), JOB, 'still1', still)).outcome).toBe('held');
  };
  const key = () => ({ jobId: JOB, deviceId: DEVICE.id, accountId: ann });

  it('waits for an owner, who takes it under its maker’s name', async () => {
    endTablet();
    await send();
    // A lost answer: it waits once.
    await send();
    expect(logged()).toEqual([]);
    expect(listHeld(callAs(asOwner()))).toMatchObject([{ ...key(), person: 'Ann', count: 7 }]);
    expect(await decideOnHeld(callAs(asOwner()), key(), true)).toBe(7);
    expect(logged()).toHaveLength(5);
    expect(loadFacts(its.db, JOB)!.inspection.property.yearBuilt).toBe(1931);
    expect(await findMedia(its.db, its.stores, JOB, 'still1')).not.toBeNull();
    const history = listHistory(its.db, JOB);
    expect(history.find((one) => one.kind === 'logged' && one.count === 5)).toMatchObject({
      person: 'Ann',
    });
    expect(new Set(listLate(its.db, JOB).map(({ kind }) => kind))).toEqual(
      new Set(['entries', 'facts', 'media']),
    );
    expect(listLate(its.db, JOB).map(({ after }) => after)).toContain('the device was ended');
    expect(listHeld(callAs(asOwner()))).toEqual([]);
  });

  it('is left out where the owner says so, and stays on record', async () => {
    endTablet();
    await send();
    await decideOnHeld(callAs(asOwner()), key(), false);
    expect(logged()).toEqual([]);
    expect(listHeld(callAs(asOwner()))).toEqual([]);
    expect(its.db.prepare('SELECT count(*) AS n FROM held_work').get()).toEqual({ n: 7 });
  });

  it('is taken at once again when its owner signs in on it anew', async () => {
    endTablet();
    beginSession(its.db, ann, DEVICE, NOW);
    expect(custody()).toMatchObject({ isEnded: false });
  });
});
