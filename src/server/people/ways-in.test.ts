import { beforeEach, describe, expect, it } from 'vitest';
import { listOutbox } from '../delivery/outbox';
import { listAccess, pruneAccessLog } from '../security/access-log';
import { actOnMe, readMe } from '../services/people';
import { requestReset } from '../services/sign-in';
import { freshDatabase } from '../testing/fresh-database';
import { callBy, DEVICE, signIn, SOURCE } from '../testing/people';
import { closeAccount, createAccount, findAccount, setPassword, setRole } from './accounts';
import { actOnPeople } from './act-on-people';
import { isKnownDevice, readDeviceCookie, writeDeviceCookie } from './device-cookie';
import { findByFeed, makeFeed } from './feed';
import { findInvited, invite } from './invitations';
import { ownerOf } from './make-owner';
import { listPasskeys } from './passkeys';
import { hashPassword } from './passwords';
import { beginSession, findSignedIn, isOfEndedDevice } from './sessions';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const NOW_MS = Date.parse(NOW);
const LATER = '2026-11-03T09:11:00.000Z';
const PASSWORD = 'marl loam gravel';
const ORIGIN = 'https://scope.example';
let owner = '';
let ann = '';
beforeEach(() => {
  owner = ownerOf(its.db, { name: 'Olive', mail: 'olive@x.example', hash: 'h' });
  ann = createAccount(its.db, { name: 'Ann', mail: 'ann@x.example', role: 'inspector' }, NOW).id;
});
const form = (fields: Record<string, string>) => {
  const data = new FormData();
  for (const [key, value] of Object.entries(fields)) data.set(key, value);
  return data;
};

/** Every way in that Ann can have, and which of them still open something. */
function openAll() {
  const { secret } = beginSession(its.db, ann, DEVICE, NOW);
  const link = invite(its.db, ann, 'reset', NOW_MS);
  const feed = makeFeed(its.db, ann, NOW);
  its.db
    .prepare(
      `INSERT INTO passkeys (id, account_id, public_key, counter, label, created_at)
       VALUES (?, ?, x'01', 0, 'key', ?)`,
    )
    .run(`key ${secret}`, ann, NOW);
  its.db.prepare('INSERT INTO challenges VALUES (?, ?, ?)').run(secret, ann, LATER);
  const left = () => ({
    session: findSignedIn(its.db, secret, NOW_MS) !== null,
    passkey: listPasskeys(its.db, ann).length > 0,
    calendar: findByFeed(its.db, feed, NOW_MS) !== null,
    link: findInvited(its.db, link, NOW_MS) !== null,
    challenge: its.db.prepare('SELECT 1 FROM challenges').get() !== undefined,
  });
  return { secret, left };
}
const NONE = { session: false, passkey: false, calendar: false, link: false, challenge: false };

describe('every way in ends', () => {
  it.each<[string, () => void]>([
    ['when the role changes', () => setRole(its.db, ann, 'office', NOW)],
    ['when the password is set anew', () => setPassword(its.db, ann, 'h', NOW)],
    ['when the account is closed', () => closeAccount(its.db, ann, NOW)],
  ])('%s', (_, change) => {
    const { secret, left } = openAll();
    expect(Object.values(left()).every(Boolean)).toBe(true);
    change();
    expect(left()).toEqual(NONE);
    expect(isOfEndedDevice(its.db, secret)).toBe(true);
  });

  it('but for passkeys that somebody keeps, and not when nothing changes', () => {
    const { left } = openAll();
    setRole(its.db, ann, 'inspector', NOW);
    expect(Object.values(left()).every(Boolean)).toBe(true);
    setPassword(its.db, ann, 'h', NOW, { keepsPasskeys: true });
    expect(left()).toEqual({ ...NONE, passkey: true });
  });

  it('one by one, by the owner, who sees them all', async () => {
    const { left } = openAll();
    const act = (fields: Record<string, string>) =>
      actOnPeople(
        its.db,
        { who: signIn(its.db, owner, NOW), source: SOURCE, nowMs: NOW_MS },
        form({ id: ann, ...fields }),
        ORIGIN,
      );
    const { sessions, passkeys, feed } = readMe(callBy(its, ann, NOW));
    expect([sessions.length, passkeys.length, feed?.madeAt]).toEqual([1, 1, NOW]);
    await act({ do: 'end-session', what: sessions[0]!.id });
    await act({ do: 'end-passkey', what: passkeys[0]!.id });
    await act({ do: 'end-calendar' });
    expect(left()).toEqual({ ...NONE, link: true, challenge: true });
    await act({ do: 'sign-out' });
    expect(left()).toEqual(NONE);
    expect(await act({ do: 'end-session', what: 'nix' })).toMatchObject({ isTrouble: true });
  });

  it('on a device that somebody signs in on anew, the session before', () => {
    const first = beginSession(its.db, ann, DEVICE, NOW);
    const second = beginSession(its.db, ann, DEVICE, NOW, first.secret);
    expect(findSignedIn(its.db, first.secret, NOW_MS)).toBeNull();
    expect(findSignedIn(its.db, second.secret, NOW_MS)?.id).toBe(ann);
    // Nobody ended it from elsewhere: the device keeps what it has.
    expect(isOfEndedDevice(its.db, first.secret)).toBe(false);
  });
});

describe('the password is asked for again', () => {
  const act = async (fields: Record<string, string>, at: string) => {
    const session = signIn(its.db, ann, NOW);
    const caller = { kind: 'person', person: session } as const;
    return actOnMe(callBy(its, caller, at), form(fields));
  };
  it('after ten minutes, and then it is done', async () => {
    setPassword(its.db, ann, await hashPassword(PASSWORD), NOW);
    expect((await act({ do: 'feed' }, NOW)).feed).toBeDefined();
    expect(await act({ do: 'feed' }, LATER)).toMatchObject({ wantsPassword: true });
    expect(await act({ do: 'mail', mail: 'a@x.example' }, LATER)).toMatchObject({
      wantsPassword: true,
    });
    expect(await act({ do: 'feed', confirm: 'no' }, LATER)).toMatchObject({
      wantsPassword: true,
      said: expect.stringContaining('not your password') as never,
    });
    expect((await act({ do: 'feed', confirm: PASSWORD }, LATER)).feed).toBeDefined();
    await act({ do: 'mail', mail: 'ann2@x.example', confirm: PASSWORD }, LATER);
    expect(findAccount(its.db, ann)?.mail).toBe('ann2@x.example');
    expect(
      await act({ do: 'mail', mail: 'olive@x.example', confirm: PASSWORD }, LATER),
    ).toMatchObject({ said: expect.stringContaining('has an account already') as never });
  });
  it('of an owner who lets somebody in, not of one who ends access', async () => {
    const press = (fields: Record<string, string>) =>
      actOnPeople(
        its.db,
        { who: signIn(its.db, owner, NOW), source: SOURCE, nowMs: Date.parse(LATER) },
        form(fields),
        ORIGIN,
      );
    const invited = { name: 'Bo', mail: 'bo@x.example', role: 'owner' };
    expect(await press({ do: 'invite', ...invited })).toMatchObject({ wantsPassword: true });
    expect(await press({ do: 'role', id: ann, role: 'owner' })).toMatchObject({
      wantsPassword: true,
    });
    expect(await press({ do: 'link', id: ann })).toMatchObject({ wantsPassword: true });
    expect((await press({ do: 'sign-out', id: ann })).isTrouble).toBeUndefined();
    expect((await press({ do: 'close', id: ann })).isTrouble).toBeUndefined();
    expect(await press({ do: 'reopen', id: ann })).toMatchObject({ wantsPassword: true });
  });
  it('at most so often', async () => {
    setPassword(its.db, ann, await hashPassword(PASSWORD), NOW);
    const caller = { kind: 'person', person: signIn(its.db, ann, NOW) } as const;
    const guess = (confirm: string) =>
      actOnMe(callBy(its, caller, LATER), form({ do: 'feed', confirm }));
    for (let at = 0; at < 10; at += 1) await guess(`guess ${at} of many`);
    expect((await guess(PASSWORD)).said).toContain('Too many failed tries');
  });
});

describe('asking for a new password', () => {
  it('makes nothing and mails nothing where there is no mail server', async () => {
    const invited = invite(its.db, ann, 'invitation', NOW_MS);
    expect(await requestReset(callBy(its, null, NOW), 'ann@x.example', ORIGIN)).toBe(
      'ask-an-owner',
    );
    expect(await requestReset(callBy(its, null, NOW), 'olive@x.example', ORIGIN)).toBe(
      'ask-an-owner',
    );
    expect(findInvited(its.db, invited, NOW_MS)?.id).toBe(ann);
    expect(listOutbox(its.db)).toEqual([]);
  });
});

describe('a device', () => {
  it('is known by a cookie that Chert signed, where somebody has signed in on it', () => {
    const cookie = writeDeviceCookie(its.db, 'D9');
    expect(readDeviceCookie(its.db, cookie)).toBe('D9');
    expect(readDeviceCookie(its.db, cookie.replace('D9', 'D8'))).toBeNull();
    expect(readDeviceCookie(its.db, 'D9')).toBeNull();
    expect(readDeviceCookie(its.db, undefined)).toBeNull();
    expect(isKnownDevice(its.db, 'D9', ann)).toBe(false);
    signIn(its.db, ann, NOW, 'D9');
    expect([isKnownDevice(its.db, 'D9', ann), isKnownDevice(its.db, 'D9', owner)]).toEqual([
      true,
      false,
    ]);
  });
});

describe('the access log', () => {
  it('tells who changed whose access, cannot be edited, and is kept for a year', async () => {
    await actOnPeople(
      its.db,
      { who: signIn(its.db, owner, NOW), source: SOURCE, nowMs: NOW_MS },
      form({ do: 'role', id: ann, role: 'office' }),
      ORIGIN,
    );
    expect(listAccess(its.db, 9)).toMatchObject([
      { what: 'role-changed', person: 'Olive', detail: 'Ann: Office', address: '127.0.0.1' },
    ]);
    expect(() => its.db.exec(`UPDATE access_log SET detail = ''`)).toThrow(/append-only/);
    expect(() => its.db.exec('DELETE FROM access_log')).toThrow(/kept for a year/);
    its.db
      .prepare(`INSERT INTO access_log (at, what) VALUES ('2025-10-01T00:00:00.000Z', 'signed-in')`)
      .run();
    pruneAccessLog(its.db, NOW_MS);
    expect(listAccess(its.db, 9)).toHaveLength(1);
  });
});
