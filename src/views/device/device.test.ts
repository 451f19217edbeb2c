import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Inspection } from '#core/job/inspection';
import type { Entry } from '#core/log/entry';
import { inspectionOf, runOf } from '#core/testing/build';
import { applyChanges, type Change, isShown, type Kept, mergeKept } from './changes';
import { type SaveState, type Sender, startSender } from './sender';
import { MEDIA_MOST_BYTES } from '#core/formats/media-type';
import { checkStill } from './still';
import { forgetDevice, forgetShown, keepChanges, keepMedia, listKept, takeOut } from './store';

/** A job of its own for each test: what an earlier one still sends is not mixed in. */
let JOB = 'J0';
let jobs = 0;
const entry = (id: string): Entry => ({ id, at: '2026-11-03T09:00:00Z', pass: 'out', readingFt: 1, kind: 'note', note: id }); // prettier-ignore
const logged = (id: string, runId = 'R1'): Change => ({ what: 'entry', runId, entry: entry(id) });
const keep = (...ids: string[]) => keepChanges(JOB, ids.map((id) => logged(id))); // prettier-ignore

type Answer = 'ok' | 'down' | 'crash' | 'full' | { readonly refuse: readonly string[] };
let answers: (ids: string[]) => Answer;
let sent: { method: string; path: string; ids: string[] }[];
let states: SaveState[];
let sender: Sender;

beforeEach(() => {
  JOB = `J${(jobs += 1)}`;
  forgetDevice();
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('navigator', {});
  sent = [];
  states = [];
  answers = () => 'ok';
  vi.stubGlobal('fetch', async (path: string, init: { method: string; body: unknown }) => {
    const body = typeof init.body === 'string' ? (JSON.parse(init.body) as { entries?: Entry[] }) : {};
    const ids = body.entries?.map(({ id }) => id) ?? [];
    const answer = answers(ids);
    if (answer === 'down') throw new TypeError('no network');
    if (answer === 'crash') return new Response('oops', { status: 500 });
    if (answer === 'full') return Response.json({ error: { message: 'The disk is full.' } }, { status: 507 });
    sent.push({ method: init.method, path, ids });
    const bad = answer === 'ok' ? undefined : ids.find((id) => answer.refuse.includes(id));
    if (bad === undefined) return Response.json({}, { status: 201 });
    const fault = { path: 'entries[0].note', expected: 'text', got: '7' };
    return Response.json({ error: { code: 'bad-input', message: 'm', faults: [fault] } }, { status: 400 });
  });
  sender = startSender(JOB, (state) => states.push(state), () => undefined);
}); // prettier-ignore
afterEach(() => {
  sender.stop();
  vi.unstubAllGlobals();
});
const until = (kind: SaveState['kind']) => vi.waitFor(() => expect(states.at(-1)?.kind).toBe(kind));
const waitingIds = async () =>
  (await listKept(JOB)).flatMap(({ change, state }) => (change.what === 'entry' && state === 'waiting' ? [change.entry.id] : [])); // prettier-ignore

describe('what waits on the device', () => {
  it('is kept by job in the order it was done, and the same entry once', async () => {
    await keep('b', 'a');
    await keep('b');
    await keepChanges('other', [logged('x')]);
    expect(await waitingIds()).toEqual(['b', 'a']);
    const [first] = await listKept(JOB);
    await takeOut(first!.seq);
    expect(await waitingIds()).toEqual(['a']);
  });

  it('is still there for a page that opens later', async () => {
    await keep('a');
    forgetDevice();
    expect(await waitingIds()).toEqual(['a']);
  });
});

describe('sending', () => {
  it('goes in the order things were done, a run before its entries, one log at a time', async () => {
    const { entries: _entries, ...setup } = inspectionOf([runOf([])]).runs[0]!;
    await keepChanges(JOB, [{ what: 'run', setup: { ...setup, id: 'R2' } }, logged('a', 'R2'), logged('b', 'R2')]); // prettier-ignore
    await keep('c');
    await keepMedia(JOB, 'M', new Blob(['x'], { type: 'image/png' }));
    sender.poke();
    await until('saved');
    expect(sent.map(({ method, path, ids }) => [method, path, ids.join()])).toEqual([
      ['PUT', `/api/jobs/${JOB}/runs/R2`, ''],
      ['POST', `/api/jobs/${JOB}/runs/R2/entries`, 'a,b'],
      ['POST', `/api/jobs/${JOB}/runs/R1/entries`, 'c'],
      ['PUT', `/api/jobs/${JOB}/media/M`, ''],
    ]);
  });

  it.each<[Answer, string | undefined]>([['down', undefined], ['crash', undefined], ['full', 'The disk is full.']])(
    'keeps everything while the server is %s, and tries again',
    async (trouble, why) => {
      answers = () => trouble;
      await keep('a');
      sender.poke();
      await until('unreachable');
      expect(states.at(-1)?.why).toBe(why);
      expect(await waitingIds()).toEqual(['a']);
      answers = () => 'ok';
      await vi.waitFor(() => expect(sent).toHaveLength(1), { timeout: 3_000 });
      await until('saved');
      expect(await waitingIds()).toEqual([]);
    },
  ); // prettier-ignore

  it('lets one refused entry hold up none of the others, and keeps it with the reason', async () => {
    answers = () => ({ refuse: ['b'] });
    await keep('a', 'b', 'c');
    sender.poke();
    await until('saved');
    const kept = await listKept(JOB);
    expect(kept.map(({ state, refused }) => [state, refused])).toEqual([
      ['sent', undefined],
      ['refused', 'entries[0].note: expected text, got 7'],
      ['sent', undefined],
    ]);
    expect(sent.map(({ ids }) => ids.join())).toEqual(['a,b,c', 'a', 'b', 'c']);
  });

  it('takes along what is done while a batch is on its way, and sends fifty at a time', async () => {
    const ids = Array.from({ length: 120 }, (_, index) => String(index).padStart(3, '0'));
    await keep(...ids.slice(0, 100));
    sender.poke();
    await keep(...ids.slice(100));
    sender.poke();
    await vi.waitFor(() => expect(sent.flatMap((one) => one.ids)).toEqual(ids));
    expect(Math.max(...sent.map((one) => one.ids.length))).toBe(50);
  });
});

describe('what the server shows', () => {
  it('is forgotten on the device once it does, and not before', async () => {
    await keep('a', 'b');
    sender.poke();
    await until('saved');
    const inspection = {
      ...inspectionOf([runOf([])]),
      job: { ...inspectionOf([runOf([])]).job, id: JOB },
    };
    const shows = (...ids: string[]): Inspection => ({ ...inspection, runs: [{ ...inspection.runs[0]!, entries: ids.map(entry) }] }); // prettier-ignore
    await forgetShown(shows('a'));
    expect((await listKept(JOB)).map(({ change }) => change)).toEqual([logged('b')]);
    await forgetShown(shows('a', 'b'));
    expect(await listKept(JOB)).toEqual([]);
  });

  it('is kept in a page that is older than the tab that forgot it; what was refused can be taken out', () => {
    const kept = (id: string, seq: number, state: Kept['state']): Kept => ({ seq, jobId: JOB, key: id, change: logged(id), state }); // prettier-ignore
    const before = [kept('a', 1, 'sent'), kept('b', 2, 'waiting'), kept('c', 3, 'refused')];
    expect(
      mergeKept(before, [kept('d', 4, 'waiting')]).map(({ key, state }) => [key, state]),
    ).toEqual([
      ['a', 'sent'],
      ['b', 'sent'],
      ['d', 'waiting'],
    ]);
    expect(mergeKept(before, [kept('b', 2, 'sent')]).map(({ key }) => key)).toEqual(['a', 'b']);
  });

  it('with this device’s changes laid over it has each entry once, in order, however often they are laid', () => {
    const ids = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'));
    fc.assert(
      fc.property(ids, ids, (there, here) => {
        const inspection = inspectionOf([runOf([])]);
        const stored = { ...inspection, runs: [{ ...inspection.runs[0]!, entries: there.map(entry) }] }; // prettier-ignore
        const changes = here.map((id) => logged(id, stored.runs[0]!.id));
        const once = applyChanges(stored, changes);
        const fresh = here.filter((id) => !there.includes(id));
        expect(once.runs[0]!.entries.map(({ id }) => id)).toEqual([...there, ...fresh]);
        expect(applyChanges(once, changes)).toEqual(once);
        expect(changes.every((change) => isShown(once, change))).toBe(true);
      }),
    );
  });
});

describe('a still', () => {
  it.each<[string, Blob, RegExp | null]>([
    ['a JPEG', new Blob([new Uint8Array([0xff, 0xd8, 0xff, 0xe0])]), null],
    ['a PNG by its content', new Blob([new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])], { type: 'text/plain' }), null],
    ['a page that calls itself a picture', new Blob(['<html>'], { type: 'image/png' }), /Expected a JPEG or PNG/],
    ['eleven megabytes', new Blob([new Uint8Array(MEDIA_MOST_BYTES + 1)]), /at most 10 MB, got 10\.0 MB/],
  ])('%s', async (_, blob, trouble) => {
    const checked = await checkStill(blob);
    if (trouble) expect('trouble' in checked && checked.trouble).toMatch(trouble);
    else expect('still' in checked).toBe(true);
  }); // prettier-ignore
});
