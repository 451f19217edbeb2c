import { describe, expect, it, vi } from 'vitest';
import { foreignOf, freshen } from './job-on-device';
import { type SaveState, type Sender, startSender } from './sender';
import {
  findDraft,
  forgetDevice,
  isUnkept,
  keepChanges,
  keepDraft,
  keepMedia,
  listKept,
  listWaiting,
  mark,
} from './store';
import {
  type Answer,
  baseOf,
  bench,
  freshDevice,
  html,
  keep,
  keepAll,
  logged,
  once,
  ours,
  stamp,
  states,
} from './testing/device-bench';

freshDevice();

describe('what this device keeps', () => {
  it('is kept by job in the order it was done, and the same entry once', async () => {
    await keep('b', 'a');
    await keep('b');
    await keepChanges('other', freshen([logged('x')], baseOf(), 0));
    expect((await listWaiting(bench.job)).map(({ id }) => id)).toEqual(['b', 'a']);
  });

  it('is still there for a page that opens later, a half-typed line too', async () => {
    await keep('a');
    await keepDraft('line', 'roots 5');
    forgetDevice();
    expect((await listWaiting(bench.job)).map(({ id }) => id)).toEqual(['a']);
    expect(await findDraft('line')).toBe('roots 5');
  });

  it('is held in memory where the device has no room, said so, sent, and kept once there is room', async () => {
    const disk = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(keep('a', 'b')).rejects.toThrow();
    const held = await listKept(bench.job);
    expect(held.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(held.every(isUnkept)).toBe(true);
    expect(await once()).toEqual({ state: 'sent' });
    expect(bench.sent.map(({ ids }) => ids.join())).toEqual(['a,b']);
    await expect(keep('c')).rejects.toThrow();
    disk.mockRestore();
    await keep('d');
    const now = await listWaiting(bench.job);
    expect(now.map(({ id }) => id)).toEqual(['c', 'd']);
    expect(now.some(isUnkept)).toBe(false);
  });
});

describe('sending', () => {
  it('goes in the order things were done, one log at a time, a still by itself', async () => {
    await keepAll([
      { what: 'edits', edits: [{ path: ['runs', 'R2'], value: {} }] },
      logged('a', 'R2'),
      logged('b', 'R2'),
      logged('c'),
    ]);
    await keepMedia(bench.job, 'M', new Blob(['x'], { type: 'image/png' }));
    await keepAll([{ what: 'media', mediaId: 'M' }]);
    expect(await once()).toEqual({ state: 'sent' });
    expect(bench.sent.map(({ method, path, ids }) => [method, path, ids.join()])).toEqual([
      ['PATCH', `/api/jobs/${bench.job}`, ''],
      ['POST', `/api/jobs/${bench.job}/runs/R2/entries`, 'a,b'],
      ['POST', `/api/jobs/${bench.job}/runs/R1/entries`, 'c'],
      ['PUT', `/api/jobs/${bench.job}/media/M`, ''],
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
    [
      'JSON of somebody else’s that refuses',
      Response.json({ error: { code: 'bad-input' } }, { status: 400 }),
    ],
    ['a crash', 'crash'],
    ['no network', 'down'],
  ])('takes %s for no answer: all is kept, tried again, and nothing refused', async (_, answer) => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
    bench.answers = () => (answer instanceof Response ? answer.clone() : answer);
    await keep(...ids);
    expect((await once()).state).toBe('unreachable');
    expect(await states()).toEqual(ids.map(() => 'kept'));
    bench.answers = () => 'ok';
    expect(await once()).toEqual({ state: 'sent' });
    expect(await states()).toEqual(ids.map(() => 'acknowledged'));
    expect(bench.sent.map((one) => one.ids)).toEqual([ids]);
  });

  it('counts an acknowledgement for what it names, and for nothing else', async () => {
    bench.answers = (ids) =>
      ours(
        { outcomes: ids.slice(0, 1).map((id) => ({ id, outcome: 'stored' })), before: 1, rev: 2 },
        201,
      );
    await keep('a', 'b');
    expect((await once()).state).toBe('unreachable');
    expect(await states()).toEqual(['kept', 'kept']);
  });

  it('says what the server says when it cannot store, and tries again', async () => {
    bench.answers = () => 'full';
    await keep('a');
    expect(await once()).toEqual({ state: 'unreachable', why: 'The disk is full.' });
    expect(await states()).toEqual(['kept']);
  });

  it('lets a log whose run is not there yet wait, and holds up nothing else', async () => {
    bench.answers = (ids) => (ids.includes('a') ? 'gone' : 'ok');
    await keepAll([logged('a', 'R9'), logged('b', 'R9'), logged('c')]);
    expect(await once()).toEqual({ state: 'unreachable', why: 'There is no such run.' });
    expect(await states()).toEqual(['kept', 'kept', 'acknowledged']);
  });

  it('sends nothing to another Chert, and says so', async () => {
    bench.answers = () =>
      ours({ error: { code: 'other-installation', message: 'm', faults: [] } }, 421);
    await keep('a');
    expect(await once()).toEqual({ state: 'elsewhere' });
    bench.answers = () =>
      Response.json({ chert: { ...stamp, installation: 'X' }, outcome: 'stored' });
    expect(await once()).toEqual({ state: 'elsewhere' });
    expect(await states()).toEqual(['kept']);
    const other = { ...baseOf(), installation: 'X' };
    expect(foreignOf(other, await listKept(bench.job)).map(({ id }) => id)).toEqual(['a']);
  });

  it('lets one refused entry hold up none of the others; mended, it is sent again', async () => {
    bench.answers = () => ({ refuse: ['b'] });
    await keep('a', 'b', 'c');
    expect(await once()).toEqual({ state: 'sent' });
    const kept = await listKept(bench.job);
    expect(kept.map(({ state, refused }) => [state, refused])).toEqual([
      ['acknowledged', undefined],
      ['refused', 'entries[0].note: expected text, got 7'],
      ['acknowledged', undefined],
    ]);
    expect(bench.sent.map(({ ids }) => ids.join())).toEqual(['a,b,c', 'a', 'b', 'c']);
    bench.answers = () => 'ok';
    await mark(bench.job, [kept[1]!], { state: 'kept', change: logged('b') });
    expect(await once()).toEqual({ state: 'sent' });
    expect(await states()).toEqual(['acknowledged', 'acknowledged', 'acknowledged']);
  });

  it('takes along what is done while a batch is on its way, and sends fifty at a time', async () => {
    const ids = Array.from({ length: 120 }, (_, index) => String(index).padStart(3, '0'));
    const seen: SaveState[] = [];
    const sender: Sender = startSender(
      bench.job,
      async () => 'D',
      (state) => seen.push(state),
      () => undefined,
    );
    await keep(...ids.slice(0, 100));
    sender.poke();
    await keep(...ids.slice(100));
    sender.poke();
    await vi.waitFor(() => expect(bench.sent.flatMap((one) => one.ids)).toEqual(ids));
    expect(Math.max(...bench.sent.map((one) => one.ids.length))).toBe(50);
    await vi.waitFor(() => expect(seen.at(-1)?.kind).toBe('saved'));
    sender.stop();
  });

  it('tries again by itself after a network that was down', async () => {
    bench.answers = () => 'down';
    const sender = startSender(
      bench.job,
      async () => 'D',
      () => undefined,
      () => undefined,
    );
    await keep('a');
    sender.poke();
    await vi.waitFor(async () => expect(await states()).toEqual(['kept']));
    bench.answers = () => 'ok';
    await vi.waitFor(async () => expect(await states()).toEqual(['acknowledged']), 3_000);
    sender.stop();
  });
});
