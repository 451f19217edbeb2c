import { describe, expect, it } from 'vitest';
import { type Asked, isToken, judgeAccess, type Verdict, type World } from './access';
import { laneOf } from './lanes';

const TOKEN = 'abcd-efgh-jkmn-pqrs-tuvw';
const LOCAL: World = { origin: null, token: TOKEN };
const PUBLIC: World = { origin: new URL('https://scope.example'), token: TOKEN };
const HERE = { host: '127.0.0.1:4870' };
const THERE = { host: 'scope.example' };
const COOKIE = { cookie: `light=daylight; chert-access=${TOKEN}` };
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
    ['a tablet without the token', ask(THERE), PUBLIC, 'no-token'],
    [
      'a tablet with a wrong one',
      ask({ ...THERE, cookie: 'chert-access=nope' }),
      PUBLIC,
      'no-token',
    ],
    ['a tablet with the token', ask({ ...THERE, ...COOKIE }), PUBLIC, 'welcome'],
    [
      'a tablet that gives it',
      ask({ ...THERE, origin: 'https://scope.example' }, { method: 'POST', path: '/access' }),
      PUBLIC,
      'welcome',
    ],
    ['a buyer with a link', ask(THERE, { path: '/r/abc' }), PUBLIC, 'welcome'],
    ['what a link’s page loads', ask(THERE, { path: '/_astro/x.css' }), PUBLIC, 'welcome'],
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
      'a page elsewhere that has the token',
      ask({ ...HERE, ...COOKIE, origin: 'https://evil.example' }, { method: 'POST' }),
      LOCAL,
      'wrong-origin',
    ],
    [
      'a tablet writing',
      ask({ ...THERE, ...COOKIE, origin: 'https://scope.example' }, { method: 'POST' }),
      PUBLIC,
      'welcome',
    ],
    [
      'a tablet writing without the token',
      ask({ ...THERE, origin: 'https://scope.example' }, { method: 'POST' }),
      PUBLIC,
      'no-token',
    ],
  ])('%s', (_, asked, world, verdict) => {
    expect(judgeAccess(asked, world)).toBe(verdict);
  });

  it('takes the token as people type it', () => {
    expect(isToken(` ${TOKEN.toUpperCase()} `, LOCAL)).toBe(true);
    expect(isToken(TOKEN.slice(1), LOCAL)).toBe(false);
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
  ])('%s %s: %s', (method, path, lane) => {
    expect(laneOf(method, path).lane).toBe(lane);
  });
});
