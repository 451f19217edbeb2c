import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Entry } from '#core/log/entry';
import { dropWaiting, keepWaiting, readWaiting } from './outbox';
import { type SaveState, type Sender, startSender } from './sender';

const JOB = 'J';
const entry = (id: string): Entry => ({
  id,
  at: '2026-11-03T09:00:00Z',
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: id,
});
const keep = (id: string, runId = 'R1') => keepWaiting(JOB, { runId, entry: entry(id) });

/** Local storage as browsers have it: text by key, keys enumerable. */
function fakeStorage() {
  const store: Record<string, string> = {};
  return Object.defineProperties(store, {
    getItem: { value: (key: string) => store[key] ?? null },
    setItem: { value: (key: string, text: string) => (store[key] = text) },
    removeItem: { value: (key: string) => Reflect.deleteProperty(store, key) },
  }) as unknown as Storage;
}

type Answer = 'ok' | 'down' | 'crash' | { readonly refuse: readonly string[] };
let answers: (sent: string[]) => Answer;
let sent: { path: string; ids: string[] }[];
let states: SaveState[];
let sender: Sender;

beforeEach(() => {
  vi.useFakeTimers();
  sent = [];
  states = [];
  answers = () => 'ok';
  vi.stubGlobal('window', { localStorage: fakeStorage(), setTimeout, clearTimeout });
  vi.stubGlobal('fetch', async (path: string, { body }: { body: string }) => {
    const ids = (JSON.parse(body) as { entries: Entry[] }).entries.map(({ id }) => id);
    const answer = answers(ids);
    if (answer === 'down') throw new TypeError('no network');
    if (answer === 'crash') return new Response('oops', { status: 500 });
    sent.push({ path, ids });
    const bad = answer === 'ok' ? undefined : ids.find((id) => answer.refuse.includes(id));
    if (bad === undefined) return new Response('{}', { status: 201 });
    const fault = { path: 'entries[0].note', expected: 'text', got: '7' };
    return new Response(
      JSON.stringify({ error: { code: 'bad-input', message: 'm', faults: [fault] } }),
      { status: 400 },
    );
  });
  sender = startSender(
    JOB,
    (state) => states.push(state),
    () => undefined,
  );
});
afterEach(() => {
  sender.stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);
const waitingIds = () => readWaiting(JOB).map(({ entry: { id } }) => id);

describe('what waits on the device', () => {
  it('is kept by job, oldest first, and forgotten one by one', () => {
    keep('b');
    keep('a');
    keepWaiting('other', { runId: 'R1', entry: entry('x') });
    expect(waitingIds()).toEqual(['a', 'b']);
    dropWaiting(JOB, 'a');
    expect(waitingIds()).toEqual(['b']);
  });
});

describe('sending', () => {
  it('sends a run’s entries together and in order, then the next run’s', async () => {
    keep('a');
    keep('b');
    keep('c', 'R2');
    sender.poke();
    await settle();
    expect(sent).toEqual([
      { path: '/api/jobs/J/runs/R1/entries', ids: ['a', 'b'] },
      { path: '/api/jobs/J/runs/R2/entries', ids: ['c'] },
    ]);
    expect(waitingIds()).toEqual([]);
    expect(states.at(-1)).toBe('saved');
  });

  it.each(['down', 'crash'] as const)(
    'keeps everything while the server is %s, tries again, less and less often',
    async (trouble) => {
      let tries = 0;
      answers = () => {
        tries += 1;
        return trouble;
      };
      keep('a');
      sender.poke();
      await settle();
      expect([tries, states.at(-1), waitingIds()]).toEqual([1, 'unreachable', ['a']]);
      await settle(1_000);
      expect(tries).toBe(2);
      await settle(1_000);
      expect(tries).toBe(2);
      await settle(1_000);
      expect(tries).toBe(3);
      answers = () => 'ok';
      await settle(5_000);
      expect([states.at(-1), waitingIds()]).toEqual(['saved', []]);
    },
  );

  it('lets one refused entry hold up none of the others, and keeps it with the reason', async () => {
    answers = () => ({ refuse: ['b'] });
    for (const id of ['a', 'b', 'c']) keep(id);
    sender.poke();
    await settle();
    expect(readWaiting(JOB)).toEqual([
      { runId: 'R1', entry: entry('b'), refused: 'entries[0].note: expected text, got 7' },
    ]);
    expect(sent.map(({ ids }) => ids.join())).toEqual(['a,b,c', 'a', 'b', 'c']);
    expect(states.at(-1)).toBe('saved');
  });

  it('takes along what is logged while a batch is on its way', async () => {
    keep('a');
    sender.poke();
    keep('b');
    sender.poke();
    await settle();
    expect(sent.flatMap(({ ids }) => ids)).toEqual(['a', 'b']);
  });

  it('sends in batches of fifty', async () => {
    for (let index = 0; index < 120; index += 1) keep(String(index).padStart(3, '0'));
    sender.poke();
    await settle();
    expect(sent.map(({ ids }) => ids.length)).toEqual([50, 50, 20]);
  });

  it('stops for good when it is stopped', async () => {
    answers = () => 'down';
    keep('a');
    sender.poke();
    await settle();
    sender.stop();
    answers = () => 'ok';
    await settle(60_000);
    expect(waitingIds()).toEqual(['a']);
  });
});
