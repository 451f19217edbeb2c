import { describe, expect, it } from 'vitest';
import type { SignedIn } from '../people/sessions';
import { type Asked, judgeAccess, type People, type Verdict, type World } from './access';
import { laneOf } from './lanes';
import { isLoopback } from './loopback';

const TOKEN = 'abcd-efgh-jkmn-pqrs-tuvw';
const ANN: SignedIn = { id: 'ann', name: 'Ann', role: 'inspector', sessionId: 'S' };
const NO_DEVICES = {
  findCustody: () => null,
  isDeviceEnded: () => false,
  noteHeld: () => undefined,
};
const NOBODY: People = { hasOwner: () => false, find: () => null, may: () => false, ...NO_DEVICES };
const FIRM: People = {
  hasOwner: () => true,
  find: (secret) => (secret === 'anns' ? ANN : null),
  may: (_, __, path) => path !== '/people',
  ...NO_DEVICES,
};
const LOCAL: World = { origin: null, isReachable: false, token: TOKEN, people: NOBODY };
const OPEN: World = { ...LOCAL, origin: new URL('https://scope.example'), isReachable: true };
const PUBLIC: World = { ...OPEN, people: FIRM };
const HERE = { host: '127.0.0.1:4870' };
const THERE = { host: 'scope.example' };
const COOKIE = { cookie: 'light=daylight; chert-session=anns' };
const ask = (headers: Asked['headers'], more: Partial<Asked> = {}): Asked => ({
  method: 'GET',
  path: '/',
  headers,
  remoteAddress: '127.0.0.1',
  ...more,
});

describe('who is answered', () => {
  it.each<[string, Asked, World, Verdict]>([
    ['this machine', ask(HERE), LOCAL, 'welcome'],
    ['this machine by name', ask({ host: 'localhost:4870' }), LOCAL, 'welcome'],
    [
      'this machine by its other loopback',
      ask({ host: '[::1]:4870' }, { remoteAddress: '::1' }),
      LOCAL,
      'welcome',
    ],
    ['a name that somebody points here', ask({ host: 'evil.example' }), LOCAL, 'wrong-host'],
    ['nobody’s name', ask({}), LOCAL, 'wrong-host'],
    [
      'a stranger who says localhost',
      ask({ host: 'localhost' }, { remoteAddress: '10.0.0.7' }),
      LOCAL,
      'wrong-host',
    ],
    [
      'a stranger who says localhost, with the token',
      ask({ host: 'localhost', ...COOKIE }, { remoteAddress: '10.0.0.7' }),
      PUBLIC,
      'wrong-host',
    ],
    [
      'a proxy here that says localhost',
      ask({ host: 'localhost', 'x-forwarded-for': '10.0.0.7' }),
      LOCAL,
      'wrong-host',
    ],
    ['a tablet before there is an owner', ask(THERE), OPEN, 'no-owner'],
    ['this machine before there is one, where others can be', ask(HERE), OPEN, 'no-owner'],
    ['the page that makes one', ask(THERE, { path: '/owner' }), OPEN, 'welcome'],
    ['how it is', ask(THERE, { path: '/api/health' }), OPEN, 'welcome'],
    ['a link before there is one', ask(THERE, { path: '/r/abc' }), OPEN, 'no-owner'],
    [
      'the page that makes one, where there is one',
      ask(THERE, { path: '/owner' }),
      PUBLIC,
      'signed-out',
    ],
    ['a tablet that nobody is signed in on', ask(THERE), PUBLIC, 'signed-out'],
    ['this machine in a firm', ask(HERE), PUBLIC, 'signed-out'],
    [
      'a tablet whose session is over',
      ask({ ...THERE, cookie: 'chert-session=nope' }),
      PUBLIC,
      'signed-out',
    ],
    ['a tablet that is signed in', ask({ ...THERE, ...COOKIE }), PUBLIC, 'welcome'],
    ['what is not theirs', ask({ ...THERE, ...COOKIE }, { path: '/people' }), PUBLIC, 'not-theirs'],
    [
      'a tablet that signs in',
      ask({ ...THERE, origin: 'https://scope.example' }, { method: 'POST', path: '/sign-in' }),
      PUBLIC,
      'welcome',
    ],
    ['a buyer with a link', ask(THERE, { path: '/r/abc' }), PUBLIC, 'welcome'],
    ['the host of nobody’s origin', ask(THERE), LOCAL, 'wrong-host'],
    ['a method that nobody knows', ask(HERE, { method: 'TRACE' }), LOCAL, 'wrong-method'],
    [
      'writing from Chert’s pages',
      ask({ ...HERE, origin: 'http://127.0.0.1:4870' }, { method: 'POST' }),
      LOCAL,
      'welcome',
    ],
    [
      'writing that says nothing of where it comes from',
      ask(HERE, { method: 'POST' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'writing from a page elsewhere',
      ask({ ...HERE, origin: 'https://evil.example' }, { method: 'PATCH' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'writing from another port',
      ask({ ...HERE, origin: 'http://127.0.0.1:9999' }, { method: 'DELETE' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'writing from nowhere',
      ask({ ...HERE, origin: 'null' }, { method: 'POST' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'a script with the token',
      ask({ ...HERE, authorization: `Bearer ${TOKEN}` }, { method: 'PUT' }),
      LOCAL,
      'welcome',
    ],
    [
      'a script with a wrong one',
      ask({ ...HERE, authorization: 'Bearer x' }, { method: 'PUT' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'a script with the token, in a firm',
      ask({ ...HERE, authorization: `Bearer ${TOKEN}` }, { method: 'PUT' }),
      PUBLIC,
      'wrong-origin',
    ],
    [
      'a script with the token, from elsewhere',
      ask({ ...THERE, authorization: `Bearer ${TOKEN}` }, { method: 'PUT' }),
      OPEN,
      'wrong-origin',
    ],
    [
      'a page elsewhere that rides on a session',
      ask({ ...HERE, ...COOKIE, origin: 'https://evil.example' }, { method: 'POST' }),
      PUBLIC,
      'wrong-origin',
    ],
    [
      'a tablet writing',
      ask({ ...THERE, ...COOKIE, origin: 'https://scope.example' }, { method: 'POST' }),
      PUBLIC,
      'welcome',
    ],
    [
      'a tablet writing that nobody is signed in on',
      ask({ ...THERE, origin: 'https://scope.example' }, { method: 'POST' }),
      PUBLIC,
      'signed-out',
    ],
  ])('%s', (_, asked, world, verdict) => {
    expect(judgeAccess(asked, world).verdict).toBe(verdict);
  });

  it('knows who asks', () => {
    const caller = (asked: Asked, world: World) => judgeAccess(asked, world).caller;
    const ann = { kind: 'person', person: ANN };
    expect(caller(ask({ ...THERE, ...COOKIE }), PUBLIC)).toEqual(ann);
    expect(caller(ask({ ...THERE, ...COOKIE }, { path: '/r/a' }), PUBLIC)).toEqual(ann);
    expect(caller(ask({ ...THERE, ...COOKIE }, { path: '/api/health' }), PUBLIC)).toEqual(ann);
    expect(caller(ask(THERE, { path: '/r/a' }), PUBLIC)).toBeNull();
    expect(caller(ask(THERE, { path: '/owner' }), OPEN)).toBeNull();
    expect(caller(ask(HERE), LOCAL)).toEqual({ kind: 'alone' });
    const script = ask({ ...HERE, authorization: `Bearer ${TOKEN}` });
    expect(caller(script, LOCAL)).toEqual({ kind: 'script' });
  });

  it.each([
    ['127.0.0.1', true],
    ['localhost', true],
    ['::1', true],
    ['0.0.0.0', false],
    ['::', false],
    ['192.168.1.5', false],
  ])('%s is this machine’s own alone: %s', (host, isOwn) => {
    expect(isLoopback(host)).toBe(isOwn);
  });
});

describe('where a request is worked on', () => {
  it.each<[string, string, string]>([
    ['POST', '/api/jobs/j/runs/r/entries', 'log'],
    ['PATCH', '/api/jobs/j', 'here'],
    ['GET', '/api/health', 'here'],
    ['GET', '/jobs/j/findings', 'pages'],
    ['GET', '/api/jobs/j', 'pages'],
    ['PUT', '/api/jobs/j/media/m', 'pages'],
    ['GET', '/api/jobs/j/report.pdf', 'heavy'],
    ['POST', '/api/jobs/j/issued', 'heavy'],
    ['POST', '/api/jobs/import', 'heavy'],
    ['GET', '/api/jobs/j/files/job.zip', 'heavy'],
    ['POST', '/api/jobs', 'pages'],
    ['POST', '/sign-in', 'here'],
  ])('%s %s: %s', (method, path, lane) => {
    expect(laneOf(method, path).lane).toBe(lane);
  });
});
