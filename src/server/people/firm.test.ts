import { beforeEach, describe, expect, it } from 'vitest';
import type { Firm } from '#core/model/firm/firm';
import { demoInspection } from '#core/testing/demo-inspections';
import { noteDeed } from '../deeds';
import { listOutbox } from '../delivery/outbox';
import { readDesk } from '../desk';
import { storeEdits } from '../edits';
import { listHistory } from '../history';
import { storeInspection } from '../inspections';
import { changePreferences, loadPreferences } from '../preferences';
import { changePreferences as setPreferences } from '../services/settings';
import { firmFor } from '../signer';
import { freshDatabase } from '../testing/fresh-database';
import { callBy, DEVICE, signIn as signInAs } from '../testing/people';
import { closeAccount, createAccount, setPassword } from './accounts';
import { findByFeed, makeFeed } from './feed';
import { findInvited, invite } from './invitations';
import { ownerOf } from './make-owner';
import { ownedBy } from './own-job';
import { remind } from './remind';
import { beginSession, findSignedIn, signOutAll } from './sessions';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const NOW_MS = Date.parse(NOW);
const ORIGIN = 'https://scope.example';
let owner = '';
let ann = '';
beforeEach(() => {
  owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
  ann = createAccount(its.db, { name: 'Ann', mail: 'ann@x.example', role: 'inspector' }, NOW).id;
});
const signIn = (id: string) => signInAs(its.db, id, NOW);
const asPerson = (id: string) => ({ kind: 'person', person: signIn(id) }) as const;

describe('in a firm', () => {
  const alder = demoInspection('alder-bend');
  const JOB = alder.job.id;
  it('a rig and words are one’s own, judging and prices the firm’s', () => {
    const who = signIn(ann);
    const words = [{ says: 'Orangeburg', means: 'fiber pipe' }];
    changePreferences(its.db, { ownWords: words }, () => undefined, who);
    expect(loadPreferences(its.db, who).ownWords).toEqual(words);
    expect(loadPreferences(its.db, signIn(owner)).ownWords).toEqual([]);
    const firm = { name: 'Marlpit' };
    const set = () => setPreferences(callBy(its, asPerson(ann), NOW), { firm }, () => undefined);
    expect(set).toThrow(expect.objectContaining({ status: 404 }) as never);
    changePreferences(its.db, { firm }, () => undefined, signIn(owner));
    expect(loadPreferences(its.db, who)).toMatchObject({ firm, ownWords: words });
  });
  it('an inspector has their own jobs at work, and reads whose the others are', () => {
    const put = (id: string, assignedTo?: string) =>
      storeInspection(
        its.db,
        { ...alder, job: { ...alder.job, id, ...(assignedTo ? { assignedTo } : {}) } },
        NOW,
      );
    put('anns', ann);
    put('olives', owner);
    put('free');
    const day = new Date('2026-11-03T12:00:00');
    const desk = readDesk(its.db, day, '', signIn(ann));
    expect(desk.cards.map(({ id }) => id)).toEqual(['anns']);
    expect(new Map(desk.rows.map(({ id, whose }) => [id, whose]))).toEqual(
      new Map([
        ['anns', 'yours'],
        ['olives', 'Olive'],
        ['free', 'unassigned'],
      ]),
    );
    expect(readDesk(its.db, day, '', signIn(owner)).cards).toHaveLength(3);
  });
  it('a report is signed with what its own inspector signs with', () => {
    const signing = { license: 'HI-7' };
    changePreferences(its.db, { signing }, () => undefined, signIn(ann));
    changePreferences(its.db, { firm: { name: 'Marlpit' } }, () => undefined, signIn(owner));
    const anns = { ...alder.job, assignedTo: ann };
    const firm = firmFor(its.db, anns);
    expect(firm).toEqual({ name: 'Marlpit', signer: { name: 'Ann', license: 'HI-7' } });
    // The same while nothing was changed: what was worked out of it stands.
    expect(firmFor(its.db, anns)).toBe(firm);
    expect(firmFor(its.db, { ...anns, assignedTo: owner })?.signer).toEqual({ name: 'Olive' });
    expect(firmFor(its.db, alder.job)).toEqual({ name: 'Marlpit' });
    changePreferences(its.db, { signing: {} }, () => undefined, signIn(ann));
    expect(firmFor(its.db, anns)?.signer).toEqual({ name: 'Ann' });
  });
  it('the firm’s license stands under no typed name while a job is nobody’s', () => {
    const keep = (firm: Firm) => changePreferences(its.db, { firm }, () => undefined, null);
    const printed = () => firmFor(its.db, alder.job)?.license;
    keep({ name: 'Marlpit', license: 'HI-1' });
    expect(printed()).toBeUndefined();
    expect(firmFor(its.db, alder.job)).toBe(firmFor(its.db, alder.job));
    // The report holds the name against this one.
    keep({ name: 'Marlpit', license: 'HI-1', inspector: 'Olive' });
    expect(printed()).toBe('HI-1');
    its.db.prepare('DELETE FROM accounts').run();
    keep({ name: 'Marlpit', license: 'HI-1' });
    expect(printed()).toBe('HI-1');
  });
  it('a new job is the inspector’s who books it, the office’s is nobody’s yet', () => {
    expect(ownedBy(alder, signIn(ann)).job.assignedTo).toBe(ann);
    expect(ownedBy(alder, signIn(owner)).job.assignedTo).toBeUndefined();
    expect(ownedBy(alder, null)).toBe(alder);
  });
  it('what was done is told with the name, and keeps it', () => {
    storeInspection(its.db, { ...alder, job: { ...alder.job, assignedTo: ann } }, NOW);
    const who = signIn(ann);
    const caller = { kind: 'person', person: who } as const;
    const sent = { id: 'c', device: 'd', saidAt: NOW, base: 1, caller };
    storeEdits(its.db, JOB, { ...sent, edits: [{ path: ['job', 'client'], value: 'Lee' }] }, NOW);
    noteDeed(
      its.db,
      JOB,
      { what: 'sent', detail: 'lee@x.example' },
      who,
      '2026-11-03T09:01:00.000Z',
    );
    noteDeed(its.db, JOB, { what: 'issued', detail: '2' }, null, '2026-11-03T09:02:00.000Z');
    closeAccount(its.db, ann, NOW);
    expect(listHistory(its.db, JOB).slice(0, 3)).toMatchObject([
      { kind: 'deed', says: 'issued the report, version 2' },
      { kind: 'deed', says: 'sent the report to lee@x.example', person: 'Ann' },
      { kind: 'edit', value: 'Lee', person: 'Ann' },
    ]);
    expect(listHistory(its.db, JOB).at(-1)).toMatchObject({ kind: 'logged', runId: 'R1' });
  });
  it('a job is given to somebody who can scope it, and to nobody else', () => {
    storeInspection(its.db, alder, NOW);
    const rae = createAccount(its.db, { name: 'Rae', mail: 'rae@x.example', role: 'reader' }, NOW);
    const give = (value: unknown) => {
      const sent = {
        id: `g${String(value)}`,
        device: 'd',
        saidAt: NOW,
        base: 1,
        caller: asPerson(owner),
      };
      const edits = [{ path: ['job', 'assignedTo'], value }];
      return storeEdits(its.db, JOB, { ...sent, edits }, NOW).outcome;
    };
    const bad = expect.objectContaining({
      status: 400,
      faults: [expect.objectContaining({ path: 'job.assignedTo' })],
    }) as never;
    for (const id of [rae.id, 'nobody', 7]) expect(() => give(id)).toThrow(bad);
    expect(give(ann)).toBe('stored');
    expect(give(undefined)).toBe('stored');
  });
  it('everybody is signed out when a backup is restored', () => {
    const { secret } = beginSession(its.db, ann, DEVICE, NOW);
    const link = invite(its.db, ann, 'reset', NOW_MS);
    const feed = makeFeed(its.db, ann, NOW);
    signOutAll(its.db, NOW);
    expect(findSignedIn(its.db, secret, NOW_MS)).toBeNull();
    expect(findInvited(its.db, link, NOW_MS)).toBeNull();
    expect(findByFeed(its.db, feed, NOW_MS)).toBeNull();
  });
  it('tells everybody once in the morning what is due and theirs', () => {
    setPassword(its.db, ann, 'h', NOW);
    const job = { ...alder.job, assignedTo: ann, scheduledFor: '2026-11-02T09:00:00-08:00' };
    const { inspectionPeriodEndsOn: _, ...rest } = job;
    storeInspection(its.db, { ...alder, job: rest }, NOW);
    const tell = (today: string) =>
      remind(its.db, today, { origin: ORIGIN, hasMail: false, now: NOW });
    // Scoped on 2 November, the report is owed on the 4th.
    expect(tell('2026-11-03')).toEqual([]);
    expect(tell('2026-11-05')).toHaveLength(1);
    expect(tell('2026-11-05')).toEqual([]);
    const [mail] = listOutbox(its.db);
    expect(mail).toMatchObject({ to: 'ann@x.example', subject: 'One thing is due' });
    expect(mail!.text).toContain('1 day late: 14 Alder Bend. Its report is to be issued.');
    expect(mail!.text).toContain(`${ORIGIN}/jobs/${JOB}/report`);
  });
});
