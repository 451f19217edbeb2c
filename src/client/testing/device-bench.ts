import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Entry } from '#core/model/log/entry';
import { inspectionOf, runOf } from '#core/testing/build';
import type { Base, Change } from '../change';
import { forgetServerTime } from '../clock';
import { freshen } from '../job-on-device';
import { sendWaiting } from '../send';
import { forgetDevice, keepChanges, listKept } from '../store';

export const AT = '2026-11-03T09:00:00.000Z';
export const entry = (id: string): Entry => ({
  id,
  at: AT,
  pass: 'out',
  readingFt: 1,
  kind: 'note',
  note: id,
});
export const baseOf = (rev = 1, era = 'E1'): Base => ({
  jobId: bench.job,
  installation: 'I',
  era,
  rev,
  inspection: inspectionOf([runOf([])], { job: { id: bench.job } }),
});
export const logged = (id: string, runId = 'R1'): Change => ({
  what: 'entry',
  runId,
  entry: entry(id),
});
export const keepAll = (changes: readonly Change[]) =>
  keepChanges(bench.job, freshen(changes, baseOf(), Date.parse(AT)));
export const keep = (...ids: string[]) => keepAll(ids.map((id) => logged(id)));

/** What a network may answer instead of Chert, or Chert itself. */
export type Answer =
  'ok' | 'down' | 'crash' | 'full' | 'gone' | Response | { readonly refuse: readonly string[] };
/** What stands for one test: its job, what the network answers and got, and the server's revision. */
export const bench = {
  /** A job of its own for each test: what an earlier one still sends is not mixed in. */
  job: 'J0',
  answers: (() => 'ok') as (ids: string[]) => Answer,
  sent: [] as { method: string; path: string; ids: string[] }[],
  rev: 1,
};
export const stamp = { installation: 'I', era: 'E1', at: AT };
export const ours = (body: object, status: number) =>
  Response.json({ chert: stamp, ...body }, { status });
export const html = (status: number) =>
  new Response(status === 204 ? null : '<h1>Welcome. Log in</h1>', {
    status,
    headers: { 'content-type': 'text/html' },
  });

let jobs = 0;
/** A device and a network of its own for each test of a file. */
export function freshDevice(): void {
  beforeEach(() => {
    bench.job = `J${(jobs += 1)}`;
    forgetDevice();
    forgetServerTime();
    vi.stubGlobal('indexedDB', new IDBFactory());
    vi.stubGlobal('navigator', {});
    bench.sent = [];
    bench.rev = 1;
    bench.answers = () => 'ok';
    vi.stubGlobal('fetch', async (path: string, init: { method?: string; body?: unknown }) => {
      const body =
        typeof init.body === 'string'
          ? (JSON.parse(init.body) as { entries?: Entry[]; id?: string })
          : {};
      const ids = body.entries?.map(({ id }) => id) ?? [];
      const answer = bench.answers(ids);
      if (answer === 'down') throw new TypeError('no network');
      if (answer === 'crash') return new Response('oops', { status: 500 });
      if (answer === 'full')
        return ours(
          { error: { code: 'disk-full', message: 'The disk is full.', faults: [] } },
          507,
        );
      if (answer === 'gone')
        return ours(
          { error: { code: 'not-found', message: 'There is no such run.', faults: [] } },
          404,
        );
      if (answer instanceof Response) return answer;
      bench.sent.push({ method: init.method ?? 'GET', path, ids });
      const bad = answer === 'ok' ? undefined : ids.find((id) => answer.refuse.includes(id));
      if (bad === undefined) {
        const before = bench.rev;
        bench.rev += 1;
        const outcomes = ids.map((id) => ({ id, outcome: 'stored' }));
        return ours({ outcome: 'stored', outcomes, before, rev: bench.rev }, 201);
      }
      const fault = { path: 'entries[0].note', expected: 'text', got: '7' };
      return ours({ error: { code: 'bad-input', message: 'm', faults: [fault] } }, 400);
    });
  });
  afterEach(() => vi.unstubAllGlobals());
}

export const states = async () => (await listKept(bench.job)).map(({ state }) => state);
export const once = () => sendWaiting(bench.job, 'D', () => undefined);
