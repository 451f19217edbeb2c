import { afterEach, describe, expect, it, vi } from 'vitest';
import { PIECE_BYTES } from '#core/interchange/recording-piece';
import type { CounterPoint } from '#core/model/job/recording';
import { thinned, withReading } from './counter-on-device';
import { LEAST_FREE_BYTES, minutesIn } from './recorder';
import { storeFile } from './store-file';

const STAMP = { installation: 'I', era: 'E', at: '2026-11-29T09:00:00.000Z' };
const json = (body: object, status = 200) =>
  new Response(JSON.stringify({ chert: STAMP, ...body }), { status });

describe('what a reel tells while it is recorded', () => {
  it('stands still where it tells nothing, also after it was thinned', () => {
    let points: readonly CounterPoint[] = [[0, 0]];
    for (const reading of [
      [1000, 1],
      [2000, 2],
      [9000, 3],
    ] as const)
      points = thinned(withReading(points, reading));
    expect(points).toEqual([
      [0, 0],
      [2000, 2],
      [8800, 2],
      [9000, 3],
    ]);
  });
});

describe('room', () => {
  it('is told in minutes, with some left for the log', () => {
    expect(minutesIn(LEAST_FREE_BYTES)).toBe(0);
    expect(minutesIn(LEAST_FREE_BYTES + 1024 ** 3)).toBeGreaterThan(50);
  });
});

describe('a file that is stored', () => {
  afterEach(() => vi.unstubAllGlobals());
  const file = new File([new Uint8Array(2.5 * PIECE_BYTES)], 'run.mp4');
  const stub = (have: number, fails: number[] = []) => {
    const put: [string, number][] = [];
    let asked = 0;
    vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
      if (path.includes('about')) return Promise.resolve(json({ bytes: 0, pieces: have }));
      asked += 1;
      if (fails.includes(asked))
        return Promise.resolve(json({ error: { code: 'bad-type', message: 'No video.' } }, 415));
      put.push([path.split('.').at(-1)!, (init.body as Blob).size]);
      return Promise.resolve(json({ outcome: 'stored' }));
    });
    return put;
  };
  it('goes piece by piece, from where the server has it', async () => {
    const put = stub(1);
    const told: number[] = [];
    const stored = await storeFile('J', 'V', file, 'I', (bytes) => told.push(bytes));
    expect(stored).toEqual({ state: 'stored' });
    expect(put).toEqual([
      ['000001', PIECE_BYTES],
      ['000002', PIECE_BYTES / 2],
    ]);
    expect(told.at(-1)).toBe(file.size);
  });
  it('stops at what the server refuses, and says why', async () => {
    stub(0, [1]);
    expect(await storeFile('J', 'V', file, 'I', () => undefined)).toEqual({
      state: 'stopped',
      at: 0,
      why: 'No video.',
    });
  });
});
