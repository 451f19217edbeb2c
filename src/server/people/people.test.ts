import { beforeEach, describe, expect, it } from 'vitest';
import { listOutbox } from '../delivery/outbox';
import { freshDatabase } from '../testing/fresh-database';
import { DEVICE, personWith, signIn as signInAs, SOURCE } from '../testing/people';
import {
  closeAccount,
  createAccount,
  findAccount,
  findByMail,
  hasOwner,
  listAccounts,
  passwordOf,
  reopenAccount,
  setPassword,
  setRole,
} from './accounts';
import { actOnMe } from './act-on-me';
import { actOnPeople } from './act-on-people';
import { endAccess } from './end-access';
import { endFeed, findByFeed, findFeed, makeFeed } from './feed';
import { findInvited, invite, useInvitation } from './invitations';
import { makeOwner, ownerOf } from './make-owner';
import { hashPassword, isPassword, passwordTrouble } from './passwords';
import {
  beginSession,
  deviceOf,
  endSession,
  findSignedIn,
  listSessions,
  SESSION_DAYS,
} from './sessions';

const its = freshDatabase();
const NOW = '2026-11-03T09:00:00.000Z';
const NOW_MS = Date.parse(NOW);
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const ORIGIN = 'https://scope.example';
const MAIL = 'ann.inspector@x.example';
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
const signIn = (id: string) => signInAs(its.db, id, NOW);
const actorOf = (id: string) => ({ who: signIn(id), source: SOURCE, nowMs: NOW_MS });

describe('accounts', () => {
  it('are found by mail in any case, one to an address', () => {
    expect(findByMail(its.db, ' ANN@X.example ')?.id).toBe(ann);
    const again = () =>
      createAccount(its.db, { name: 'B', mail: 'Ann@x.example', role: 'reader' }, NOW);
    expect(again).toThrow(expect.objectContaining({ code: 'mail-taken' }) as never);
  });
  it('keep the last owner', () => {
    const last = expect.objectContaining({ code: 'last-owner' }) as never;
    expect(() => setRole(its.db, owner, 'reader', NOW)).toThrow(last);
    expect(() => closeAccount(its.db, owner, NOW)).toThrow(last);
    expect(findAccount(its.db, owner)).toMatchObject({ role: 'owner', closedAt: null });
    setRole(its.db, ann, 'owner', NOW);
    closeAccount(its.db, owner, NOW);
    expect(hasOwner(its.db)).toBe(true);
  });
  it('open nothing once they are closed, and are there again when opened', () => {
    const { secret } = beginSession(its.db, ann, DEVICE, NOW);
    const link = invite(its.db, ann, 'reset', NOW_MS);
    const feed = makeFeed(its.db, ann, NOW);
    setPassword(its.db, ann, 'h', NOW);
    closeAccount(its.db, ann, NOW);
    expect(findSignedIn(its.db, secret, NOW_MS)).toBeNull();
    expect(findInvited(its.db, link, NOW_MS)).toBeNull();
    expect(findByFeed(its.db, feed, NOW_MS)).toBeNull();
    expect(passwordOf(its.db, ann)).toBeNull();
    expect(findByMail(its.db, 'ann@x.example')).toBeNull();
    reopenAccount(its.db, ann);
    expect(passwordOf(its.db, ann)).toBe('h');
    expect(findSignedIn(its.db, secret, NOW_MS)).toBeNull();
  });
});

describe('the first owner', () => {
  const wish = { name: 'Max', mail: 'max@x.example', password: 'marl loam gravel', code: '' };
  it('is made once, with the code where others can be', async () => {
    its.db.exec('DELETE FROM accounts');
    expect(await makeOwner(its.db, { ...wish, code: 'no' }, 'abcd')).toMatchObject({
      trouble: expect.stringContaining('not the code') as never,
    });
    expect(await makeOwner(its.db, { ...wish, password: 'short' }, undefined)).toMatchObject({
      trouble: expect.stringContaining('at least 10') as never,
    });
    expect(await makeOwner(its.db, { ...wish, mail: 'max' }, undefined)).toMatchObject({
      trouble: expect.stringContaining('an email address') as never,
    });
    expect(await makeOwner(its.db, { ...wish, name: ' ' }, undefined)).toMatchObject({
      trouble: expect.stringContaining('your name') as never,
    });
    expect(await makeOwner(its.db, { ...wish, code: ' ABCD ' }, 'abcd')).toHaveProperty('id');
    expect(await makeOwner(its.db, { ...wish, mail: 'two@x.example' }, undefined)).toMatchObject({
      trouble: expect.stringContaining('Someone else') as never,
    });
    expect(listAccounts(its.db)).toHaveLength(1);
  });
});

describe('a password', () => {
  it('fits its own hash alone, and none where there is none', async () => {
    const hash = await hashPassword('marl loam gravel');
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(await isPassword('marl loam gravel', hash)).toBe(true);
    expect(await isPassword('marl loam grave', hash)).toBe(false);
    expect(await isPassword('nobody has this one', null)).toBe(false);
  });
  it('is long enough, and not too long to be hashed', () => {
    expect(passwordTrouble('marl loam', MAIL)).toContain('at least 10');
    expect(passwordTrouble('marl loam gravel', MAIL)).toBeNull();
    expect(passwordTrouble('x'.repeat(201), MAIL)).toContain('at most 200');
  });
  it.each([
    ['1234567890', 'on the lists'],
    ['Qwertyuiop', 'on the lists'],
    ['aaaaaaaaaaaa', 'one character'],
    ['AaAaAaAaAaAa', 'one character'],
    ['ann.inspector@x.example', 'email address'],
    [' ANN.INSPECTOR@X.EXAMPLE ', 'email address'],
    ['ann.inspector', 'email address'],
  ])('is not %s, which is guessed first', (password, why) => {
    expect(passwordTrouble(password, MAIL)).toContain(why);
  });
});

describe('a session', () => {
  it('is known by its secret alone, until it is ended or long unseen', () => {
    const { id, secret } = beginSession(its.db, ann, DEVICE, NOW);
    expect(findSignedIn(its.db, secret, NOW_MS)).toEqual({
      id: ann,
      name: 'Ann',
      role: 'inspector',
      sessionId: id,
    });
    expect(findSignedIn(its.db, `${secret}x`, NOW_MS)).toBeNull();
    expect(JSON.stringify(its.db.prepare('SELECT * FROM sessions').all())).not.toContain(secret);
    expect(findSignedIn(its.db, secret, NOW_MS + (SESSION_DAYS + 1) * DAY_MS)).toBeNull();
    // Seen in between, it lasts from there.
    expect(findSignedIn(its.db, secret, NOW_MS + 100 * DAY_MS)).not.toBeNull();
    expect(findSignedIn(its.db, secret, NOW_MS + (SESSION_DAYS + 1) * DAY_MS)).not.toBeNull();
    expect(endSession(its.db, owner, id, NOW)).toBe(false);
    expect(endSession(its.db, ann, id, NOW)).toBe(true);
    expect(findSignedIn(its.db, secret, NOW_MS)).toBeNull();
  });
  it('is ended everywhere, but here', () => {
    const [one, two] = [signIn(ann), signIn(ann)];
    endAccess(its.db, ann, NOW, { sessionId: one.sessionId });
    expect(listSessions(its.db, ann).map(({ id }) => id)).toEqual([one.sessionId]);
    expect(two.sessionId).not.toBe(one.sessionId);
  });
  it.each([
    ['Mozilla/5.0 (iPad; CPU OS 17_0) AppleWebKit/605 Version/17 Safari/604.1', 'Safari on iPad'],
    ['Mozilla/5.0 (Windows NT 10.0) Chrome/120.0 Safari/537.36 Edg/120.0', 'Edge on Windows'],
    ['Mozilla/5.0 (Linux; Android 14) Chrome/120.0 Mobile Safari/537.36', 'Chrome on Android'],
    [null, 'a device that does not say what it is'],
  ])('on %s is on %s', (agent, name) => {
    expect(deviceOf(agent)).toBe(name);
  });
});

describe('a link to set a password', () => {
  it('works once, for so long, and the newest alone', () => {
    const first = invite(its.db, ann, 'invitation', NOW_MS);
    const second = invite(its.db, ann, 'invitation', NOW_MS);
    expect(findInvited(its.db, first, NOW_MS)).toBeNull();
    expect(findInvited(its.db, second, NOW_MS + 119 * HOUR_MS)?.id).toBe(ann);
    expect(findInvited(its.db, second, NOW_MS + 121 * HOUR_MS)).toBeNull();
    expect(useInvitation(its.db, second, NOW_MS)).toBe(true);
    expect(useInvitation(its.db, second, NOW_MS)).toBe(false);
    expect(findInvited(its.db, second, NOW_MS)).toBeNull();
    const reset = invite(its.db, ann, 'reset', NOW_MS);
    expect(findInvited(its.db, reset, NOW_MS + 3 * HOUR_MS)).toBeNull();
  });
});

describe('one’s own account', () => {
  const act = (fields: Record<string, string>) => actOnMe(its.db, actorOf(ann), form(fields));
  it('changes its password with the one before, and signs the others out', async () => {
    setPassword(its.db, ann, await hashPassword('marl loam gravel'), NOW);
    const other = signIn(ann);
    expect(await act({ do: 'password', before: 'no', password: 'clay till shale' })).toMatchObject({
      isTrouble: true,
    });
    expect(
      await act({ do: 'password', before: 'marl loam gravel', password: 'short' }),
    ).toMatchObject({ isTrouble: true });
    expect(listSessions(its.db, ann).some(({ id }) => id === other.sessionId)).toBe(true);
    const done = await act({
      do: 'password',
      before: 'marl loam gravel',
      password: 'clay till shale',
    });
    expect(done.isTrouble).toBeUndefined();
    expect(await isPassword('clay till shale', passwordOf(its.db, ann))).toBe(true);
    expect(listSessions(its.db, ann)).toHaveLength(1);
  });
  it('has a calendar whose address is told once, and can be taken back', async () => {
    const { feed } = await act({ do: 'feed' });
    expect(findByFeed(its.db, feed!, NOW_MS)).toMatchObject({ id: ann, name: 'Ann' });
    const next = makeFeed(its.db, ann, NOW);
    expect(findByFeed(its.db, feed!, NOW_MS)).toBeNull();
    endFeed(its.db, ann);
    expect([findByFeed(its.db, next, NOW_MS), findFeed(its.db, ann)]).toEqual([null, null]);
  });
  it('says where its day begins, and no to mail in the morning', async () => {
    await act({ do: 'home', home: ' 45.5, -122.6 ' });
    await act({ do: 'reminders' });
    expect(await act({ do: 'home', home: 'Hill Road' })).toMatchObject({ isTrouble: true });
    expect(findAccount(its.db, ann)).toMatchObject({ home: '45.5, -122.6', isReminded: false });
  });
  it('does nothing that it does not understand', async () => {
    expect(await act({ do: 'own the moon' })).toMatchObject({ isTrouble: true });
    expect(await act({ do: 'end', id: 'nix' })).toMatchObject({ isTrouble: true });
    expect(await act({ do: 'remove-passkey', id: 'nix' })).toMatchObject({ isTrouble: true });
  });
});

describe('people', () => {
  const act = (fields: Record<string, string>) =>
    actOnPeople(its.db, actorOf(owner), form(fields), ORIGIN);
  it('are invited by a link that goes by mail and can be handed on', async () => {
    const { link, said } = await act({
      do: 'invite',
      name: 'Bo Tran',
      mail: 'bo@x.example',
      role: 'reader',
    });
    expect(said).toBe(
      'Bo Tran is invited. No email service is set up, so the link is not sent: pass it on yourself.',
    );
    const [mail] = listOutbox(its.db);
    expect(mail).toMatchObject({ to: 'bo@x.example', jobId: null });
    expect(mail!.text).toContain('[link hidden]');
    expect(mail!.text).not.toContain(link!);
    expect(findInvited(its.db, link!.replace('/join/', ''), NOW_MS)?.name).toBe('Bo Tran');
    // Who may not let others in does not see the link either.
    const office = createAccount(its.db, { name: 'O', mail: 'o@x.example', role: 'office' }, NOW);
    expect(listOutbox(its.db, { readBy: personWith(office.id, 'office') })).toEqual([]);
  });
  it.each([
    [{ do: 'invite', name: '', mail: 'a@b.example', role: 'reader' }, 'Enter a name'],
    [{ do: 'invite', name: 'B', mail: 'no', role: 'reader' }, 'an email address'],
    [{ do: 'invite', name: 'B', mail: 'b@b.example', role: 'king' }, 'Choose a role'],
    [{ do: 'invite', name: 'B', mail: 'ann@x.example', role: 'reader' }, 'has an account already'],
    [{ do: 'close', id: 'nix' }, 'not here'],
  ])('%j is not done: %s', async (fields, why) => {
    expect(await act(fields as Record<string, string>)).toMatchObject({
      isTrouble: true,
      said: expect.stringContaining(why) as never,
    });
  });
  it('are changed, signed out, closed and opened again', async () => {
    await act({ do: 'role', id: ann, role: 'office' });
    expect(findAccount(its.db, ann)!.role).toBe('office');
    signIn(ann);
    await act({ do: 'sign-out', id: ann });
    expect(listSessions(its.db, ann)).toEqual([]);
    await act({ do: 'close', id: ann });
    expect(findAccount(its.db, ann)!.closedAt).toBe(NOW);
    await act({ do: 'reopen', id: ann });
    expect(findAccount(its.db, ann)!.closedAt).toBeNull();
    expect(await act({ do: 'close', id: owner })).toMatchObject({ isTrouble: true });
  });
});
