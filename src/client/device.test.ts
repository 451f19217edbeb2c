import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Entry } from '#core/log/entry';
import { inspectionOf, runOf } from '#core/testing/build';
import { sendJson } from './api';
import type { Base, Change } from './change';
import { deviceAheadMs, forgetServerTime } from './clock';
import { foreignOf, freshen } from './job-on-device';
import type { StoredJob } from '#core/job/history';
import { openJob } from './job-keeper';
import { sendWaiting } from './send';
import { type SaveState, type Sender, startSender } from './sender';
import {
  findBase,
  forgetDevice,
  isUnkept,
  keepChanges,
  keepDraft,
  keepMedia,
  findDraft,
  listAtRest,
  listKept,
  listWaiting,
  mark,
} from './store';

/** A job of its own for each test: what an earlier one still sends is not mixed in. */
let JOB = 'J0';
let jobs = 0;
const AT = '2026-11-03T09:00:00.000Z';
const entry = (id: string): Entry => ({
  id,
  at: AT,
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: id,
});
const baseOf = (rev = 1, era = 'E1'): Base => ({
  jobId: JOB,
  installation: 'I',
  era,
  rev,
  inspection: inspectionOf([runOf([])], { job: { id: JOB } }),
});
const logged = (id: string, runId = 'R1'): Change => ({ what: 'entry', runId, entry: entry(id) });
const keepAll = (changes: readonly Change[]) =>
  keepChanges(JOB, freshen(changes, baseOf(), Date.parse(AT)));
const keep = (...ids: string[]) => keepAll(ids.map((id) => logged(id)));

/** What a network may answer instead of Chert, or Chert itself. */
type Answer = 'ok' | 'down' | 'crash' | 'full' | 'gone' | Response | { readonly refuse: readonly string[] }; // prettier-ignore
let answers: (ids: string[]) => Answer;
let sent: { method: string; path: string; ids: string[] }[];
let rev: number;
const stamp = { installation: 'I', era: 'E1', at: AT };
const ours = (body: object, status: number) => Response.json({ chert: stamp, ...body }, { status });
const html = (status: number) => new Response(status === 204 ? null : '<h1>Welcome. Log in</h1>', { status, headers: { 'content-type': 'text/html' } }); // prettier-ignore

beforeEach(() => {
  JOB = `J${(jobs += 1)}`;
  forgetDevice();
  forgetServerTime();
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('navigator', {});
  sent = [];
  rev = 1;
  answers = () => 'ok';
  vi.stubGlobal('fetch', async (path: string, init: { method?: string; body?: unknown }) => {
    const body = typeof init.body === 'string' ? (JSON.parse(init.body) as { entries?: Entry[]; id?: string }) : {}; // prettier-ignore
    const ids = body.entries?.map(({ id }) => id) ?? [];
    const answer = answers(ids);
    if (answer === 'down') throw new TypeError('no network');
    if (answer === 'crash') return new Response('oops', { status: 500 });
    if (answer === 'full') return ours({ error: { code: 'disk-full', message: 'The disk is full.', faults: [] } }, 507); // prettier-ignore
    if (answer === 'gone') return ours({ error: { code: 'not-found', message: 'There is no such run.', faults: [] } }, 404); // prettier-ignore
    if (answer instanceof Response) return answer;
    sent.push({ method: init.method ?? 'GET', path, ids });
    const bad = answer === 'ok' ? undefined : ids.find((id) => answer.refuse.includes(id));
    if (bad === undefined) {
      const before = rev;
      rev += 1;
      const outcomes = ids.map((id) => ({ id, outcome: 'stored' }));
      return ours({ outcome: 'stored', outcomes, before, rev }, 201);
    }
    const fault = { path: 'entries[0].note', expected: 'text', got: '7' };
    return ours({ error: { code: 'bad-input', message: 'm', faults: [fault] } }, 400);
  });
});
afterEach(() => vi.unstubAllGlobals());

const states = async () => (await listKept(JOB)).map(({ state }) => state);
const once = () => sendWaiting(JOB, 'D', () => undefined);

describe('what this device keeps', () => {
  it('is kept by job in the order it was done, and the same entry once', async () => {
    await keep('b', 'a');
    await keep('b');
    await keepChanges('other', freshen([logged('x')], baseOf(), 0));
    expect((await listWaiting(JOB)).map(({ id }) => id)).toEqual(['b', 'a']);
  });

  it('is still there for a page that opens later, a half-typed line too', async () => {
    await keep('a');
    await keepDraft('line', 'roots 5');
    forgetDevice();
    expect((await listWaiting(JOB)).map(({ id }) => id)).toEqual(['a']);
    expect(await findDraft('line')).toBe('roots 5');
  });

  it('is held in memory where the device has no room, said so, sent, and kept once there is room', async () => {
    const disk = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(keep('a', 'b')).rejects.toThrow();
    const held = await listKept(JOB);
    expect(held.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(held.every(isUnkept)).toBe(true);
    expect(await once()).toEqual({ state: 'sent' });
    expect(sent.map(({ ids }) => ids.join())).toEqual(['a,b']);
    await expect(keep('c')).rejects.toThrow();
    disk.mockRestore();
    await keep('d');
    const now = await listWaiting(JOB);
    expect(now.map(({ id }) => id)).toEqual(['c', 'd']);
    expect(now.some(isUnkept)).toBe(false);
  });
});

describe('sending', () => {
  it('goes in the order things were done, one log at a time, a still by itself', async () => {
    await keepAll([{ what: 'edits', edits: [{ path: ['runs', 'R2'], value: {} }] }, logged('a', 'R2'), logged('b', 'R2'), logged('c')]); // prettier-ignore
    await keepMedia(JOB, 'M', new Blob(['x'], { type: 'image/png' }));
    await keepAll([{ what: 'media', mediaId: 'M' }]);
    expect(await once()).toEqual({ state: 'sent' });
    expect(sent.map(({ method, path, ids }) => [method, path, ids.join()])).toEqual([
      ['PATCH', `/api/jobs/${JOB}`, ''],
      ['POST', `/api/jobs/${JOB}/runs/R2/entries`, 'a,b'],
      ['POST', `/api/jobs/${JOB}/runs/R1/entries`, 'c'],
      ['PUT', `/api/jobs/${JOB}/media/M`, ''],
    ]);
  });

  it.each<[string, Answer]>([
    ['a login page with 200', html(200)],
    ['nothing with 204', html(204)],
    ['a login page with 401', html(401)],
    ['a login page with 403', html(403)],
    ['a page with 404', html(404)],
    ['a page with 429', html(429)],
    ['a page with 502', html(502)],
    ['JSON of somebody else’s', Response.json({ ok: true, outcomes: [] })],
    ['JSON of somebody else’s that refuses', Response.json({ error: { code: 'bad-input' } }, { status: 400 })], // prettier-ignore
    ['a crash', 'crash'],
    ['no network', 'down'],
  ])('takes %s for no answer: all is kept, tried again, and nothing refused', async (_, answer) => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
    answers = () => (answer instanceof Response ? answer.clone() : answer);
    await keep(...ids);
    expect((await once()).state).toBe('unreachable');
    expect(await states()).toEqual(ids.map(() => 'kept'));
    answers = () => 'ok';
    expect(await once()).toEqual({ state: 'sent' });
    expect(await states()).toEqual(ids.map(() => 'acknowledged'));
    expect(sent.map((one) => one.ids)).toEqual([ids]);
  });

  it('counts an acknowledgement for what it names, and for nothing else', async () => {
    answers = (ids) => ours({ outcomes: ids.slice(0, 1).map((id) => ({ id, outcome: 'stored' })), before: 1, rev: 2 }, 201); // prettier-ignore
    await keep('a', 'b');
    expect((await once()).state).toBe('unreachable');
    expect(await states()).toEqual(['kept', 'kept']);
  });

  it('says what the server says when it cannot store, and tries again', async () => {
    answers = () => 'full';
    await keep('a');
    expect(await once()).toEqual({ state: 'unreachable', why: 'The disk is full.' });
    expect(await states()).toEqual(['kept']);
  });

  it('lets a log whose run is not there yet wait, and holds up nothing else', async () => {
    answers = (ids) => (ids.includes('a') ? 'gone' : 'ok');
    await keepAll([logged('a', 'R9'), logged('b', 'R9'), logged('c')]);
    expect(await once()).toEqual({ state: 'unreachable', why: 'There is no such run.' });
    expect(await states()).toEqual(['kept', 'kept', 'acknowledged']);
  });

  it('sends nothing to another Chert, and says so', async () => {
    answers = () => ours({ error: { code: 'other-installation', message: 'm', faults: [] } }, 421);
    await keep('a');
    expect(await once()).toEqual({ state: 'elsewhere' });
    answers = () => Response.json({ chert: { ...stamp, installation: 'X' }, outcome: 'stored' });
    expect(await once()).toEqual({ state: 'elsewhere' });
    expect(await states()).toEqual(['kept']);
    const other = { ...baseOf(), installation: 'X' };
    expect(foreignOf(other, await listKept(JOB)).map(({ id }) => id)).toEqual(['a']);
  });

  it('lets one refused entry hold up none of the others; mended, it is sent again', async () => {
    answers = () => ({ refuse: ['b'] });
    await keep('a', 'b', 'c');
    expect(await once()).toEqual({ state: 'sent' });
    const kept = await listKept(JOB);
    expect(kept.map(({ state, refused }) => [state, refused])).toEqual([
      ['acknowledged', undefined],
      ['refused', 'entries[0].note: expected text, got 7'],
      ['acknowledged', undefined],
    ]);
    expect(sent.map(({ ids }) => ids.join())).toEqual(['a,b,c', 'a', 'b', 'c']);
    answers = () => 'ok';
    await mark(JOB, [kept[1]!], { state: 'kept', change: logged('b') });
    expect(await once()).toEqual({ state: 'sent' });
    expect(await states()).toEqual(['acknowledged', 'acknowledged', 'acknowledged']);
  });

  it('takes along what is done while a batch is on its way, and sends fifty at a time', async () => {
    const ids = Array.from({ length: 120 }, (_, index) => String(index).padStart(3, '0'));
    const seen: SaveState[] = [];
    const sender: Sender = startSender(JOB, async () => 'D', (state) => seen.push(state), () => undefined); // prettier-ignore
    await keep(...ids.slice(0, 100));
    sender.poke();
    await keep(...ids.slice(100));
    sender.poke();
    await vi.waitFor(() => expect(sent.flatMap((one) => one.ids)).toEqual(ids));
    expect(Math.max(...sent.map((one) => one.ids.length))).toBe(50);
    await vi.waitFor(() => expect(seen.at(-1)?.kind).toBe('saved'));
    sender.stop();
  });

  it('tries again by itself after a network that was down', async () => {
    answers = () => 'down';
    const sender = startSender(JOB, async () => 'D', () => undefined, () => undefined); // prettier-ignore
    await keep('a');
    sender.poke();
    await vi.waitFor(async () => expect(await states()).toEqual(['kept']));
    answers = () => 'ok';
    await vi.waitFor(async () => expect(await states()).toEqual(['acknowledged']), 3_000);
    sender.stop();
  });
});

describe('a job kept on this device', () => {
  const nothing = () => undefined;
  const open = (stored: Base, onBase: (base: Base) => void = nothing) => {
    const { jobId: _jobId, ...page } = stored;
    const brought: StoredJob = { ...page, told: [] };
    return openJob(brought, { onBase, onTold: nothing, onKept: nothing, onSave: nothing, onTrouble: (error) => expect(error).toBeNull() }); // prettier-ignore
  };
  const withEntries = (base: Base, ...ids: string[]): Base => ({ ...base, inspection: { ...base.inspection, runs: [{ ...base.inspection.runs[0]!, entries: ids.map(entry) }] } }); // prettier-ignore

  it('holds what it sent for a restored server, and offers it again when that lacks it', async () => {
    await keep('a', 'b');
    await once();
    const first = open(withEntries(baseOf(9), 'a', 'b'));
    await vi.waitFor(async () => expect(await states()).toEqual([]));
    expect((await listAtRest(JOB)).map(({ state }) => state)).toEqual(['shown', 'shown']);
    first.stop();
    // The server comes back with an older state, under a new era, and has "a" only.
    sent = [];
    const second = open(withEntries(baseOf(2, 'E2'), 'a'));
    await vi.waitFor(() => expect(sent.map(({ ids }) => ids.join())).toEqual(['b']));
    second.stop();
  });

  it('shows the newest it knows, whichever page comes from a cache', async () => {
    const held = withEntries(baseOf(5), 'a');
    open(held).stop();
    await vi.waitFor(async () => expect((await findBase(JOB))?.rev).toBe(5));
    const shown: Base[] = [];
    const old = open(baseOf(1), (base) => shown.push(base));
    await vi.waitFor(() => expect(shown.map((one) => one.rev)).toEqual([5]));
    old.stop();
  });

  it('sends from memory and comes to rest where the device has no room', async () => {
    let tellings = 0;
    const { jobId: _jobId, ...shown } = baseOf();
    const job = openJob({ ...shown, told: [] }, { onBase: nothing, onTold: nothing, onKept: () => { tellings += 1; }, onSave: nothing, onTrouble: nothing }); // prettier-ignore
    const disk = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(keep('a')).rejects.toThrow();
    await vi.waitFor(async () => expect(await states()).toEqual(['acknowledged']));
    disk.mockRestore();
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect(tellings).toBeLessThan(20);
    job.stop();
  });

  it('adopts what an older version kept', async () => {
    await keepChanges(JOB, freshen([logged('a')], { ...baseOf(), installation: '' }, 0));
    const job = open(baseOf());
    await vi.waitFor(() => expect(sent.map(({ ids }) => ids.join())).toEqual(['a']));
    job.stop();
  });
});

describe('the server’s time', () => {
  it('is taken from answers of Chert', async () => {
    expect((await sendJson('POST', '/api/x', {})).state).toBe('ok');
    expect(Math.abs(deviceAheadMs() - (Date.now() - Date.parse(AT)))).toBeLessThan(5_000);
  });
});
