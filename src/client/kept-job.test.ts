import { describe, expect, it, vi } from 'vitest';
import type { StoredJob } from '#core/model/job/history';
import { sendJson } from './api';
import type { Base } from './change';
import { deviceAheadMs } from './clock';
import { openJob } from './job-keeper';
import { freshen } from './job-on-device';
import { findBase, keepChanges, listAtRest } from './store';

import {
  AT,
  baseOf,
  bench,
  entry,
  freshDevice,
  keep,
  logged,
  once,
  states,
} from './testing/device-bench';

freshDevice();

describe('a job kept on this device', () => {
  const nothing = () => undefined;
  const open = (stored: Base, onBase: (base: Base) => void = nothing) => {
    const { jobId: _jobId, ...page } = stored;
    const brought: StoredJob = { ...page, told: [], late: [], who: null, readOnly: null };
    return openJob(brought, {
      onBase,
      onTold: nothing,
      onKept: nothing,
      onSave: nothing,
      onTrouble: (error) => expect(error).toBeNull(),
    });
  };
  const withEntries = (base: Base, ...ids: string[]): Base => ({
    ...base,
    inspection: {
      ...base.inspection,
      runs: [{ ...base.inspection.runs[0]!, entries: ids.map(entry) }],
    },
  });

  it('holds what it sent for a restored server, and offers it again when that lacks it', async () => {
    await keep('a', 'b');
    await once();
    const first = open(withEntries(baseOf(9), 'a', 'b'));
    await vi.waitFor(async () => expect(await states()).toEqual([]));
    expect((await listAtRest(bench.job)).map(({ state }) => state)).toEqual(['shown', 'shown']);
    first.stop();
    // The server comes back with an older state, under a new era, and has "a" only.
    bench.sent = [];
    const second = open(withEntries(baseOf(2, 'E2'), 'a'));
    await vi.waitFor(() => expect(bench.sent.map(({ ids }) => ids.join())).toEqual(['b']));
    second.stop();
  });

  it('shows the newest it knows, whichever page comes from a cache', async () => {
    const held = withEntries(baseOf(5), 'a');
    open(held).stop();
    await vi.waitFor(async () => expect((await findBase(bench.job))?.rev).toBe(5));
    const shown: Base[] = [];
    const old = open(baseOf(1), (base) => shown.push(base));
    await vi.waitFor(() => expect(shown.map((one) => one.rev)).toEqual([5]));
    old.stop();
  });

  it('sends from memory and comes to rest where the device has no room', async () => {
    let tellings = 0;
    const { jobId: _jobId, ...shown } = baseOf();
    const job = openJob(
      { ...shown, told: [], late: [], who: null, readOnly: null },
      {
        onBase: nothing,
        onTold: nothing,
        onKept: () => {
          tellings += 1;
        },
        onSave: nothing,
        onTrouble: nothing,
      },
    );
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
    await keepChanges(bench.job, freshen([logged('a')], { ...baseOf(), installation: '' }, 0));
    const job = open(baseOf());
    await vi.waitFor(() => expect(bench.sent.map(({ ids }) => ids.join())).toEqual(['a']));
    job.stop();
  });
});

describe('the server’s time', () => {
  it('is taken from answers of Chert', async () => {
    expect((await sendJson('POST', '/api/x', {})).state).toBe('ok');
    expect(Math.abs(deviceAheadMs() - (Date.now() - Date.parse(AT)))).toBeLessThan(5_000);
  });
});
