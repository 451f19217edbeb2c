import { beforeEach, describe, expect, it, vi } from 'vitest';
import { freshen } from './job-on-device';
import { jot, keepJotted, strike } from './journal';
import { forgetDevice, listKept } from './store';
import { baseOf, bench, freshDevice, keep, logged } from './testing/device-bench';

/** Where a page writes at once, as a browser has it: its keys are its own properties. */
function storage(most = Infinity): Storage {
  const items = {
    getItem: (key: string) => (items as Record<string, unknown>)[key] ?? null,
    setItem: (key: string, text: string) => {
      if (text.length > most) throw new DOMException('full', 'QuotaExceededError');
      Object.assign(items, { [key]: text });
    },
    removeItem: (key: string) => Reflect.deleteProperty(items, key),
  };
  return items as unknown as Storage;
}

freshDevice();
beforeEach(() => vi.stubGlobal('localStorage', storage()));

const rows = (...ids: string[]) =>
  freshen(
    ids.map((id) => logged(id)),
    baseOf(),
    0,
  );
const held = async () => (await listKept(bench.job)).map(({ id }) => id);

describe('what was done a moment before the page went', () => {
  it('is in the store of the next page, in the order it was done, and written down no more', async () => {
    jot(bench.job, rows('b', 'a'), 5);
    jot(bench.job, rows('c'), 5);
    jot('other', rows('x'), 5);
    forgetDevice();
    await keepJotted(bench.job);
    expect(await held()).toEqual(['b', 'a', 'c']);
    await keepJotted(bench.job);
    expect(await held()).toEqual(['b', 'a', 'c']);
    expect(Object.keys(localStorage).filter((key) => key.includes(`:${bench.job}:`))).toEqual([]);
  });

  it('stays once where the store has it already, and is nothing once it was struck', async () => {
    await keep('a');
    jot(bench.job, rows('a'), 5);
    strike(jot(bench.job, rows('b'), 6));
    await keepJotted(bench.job);
    expect(await held()).toEqual(['a']);
  });

  it('stays written down where the store has no room', async () => {
    jot(bench.job, rows('a'), 5);
    const disk = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(keepJotted(bench.job)).rejects.toThrow();
    disk.mockRestore();
    forgetDevice();
    await keepJotted(bench.job);
    expect(await held()).toEqual(['a']);
  });

  it('is done without where a page has no place to write, or no room there', () => {
    vi.stubGlobal('localStorage', storage(3));
    expect(jot(bench.job, rows('a'), 5)).toBeNull();
    vi.stubGlobal('localStorage', undefined);
    expect(jot(bench.job, rows('a'), 5)).toBeNull();
    strike(null);
  });
});
