import { afterEach, describe, expect, it, vi } from 'vitest';
import { runOf } from '#core/testing/build';
import { placeFromLog, recallRig, rememberRig } from './rig-memory';

const memory = {
  lateralId: 'fern-row',
  seed: 3,
  accessId: 'A',
  place: { headFt: 12, readingFt: 11.5, farthestFt: 20, pass: 'back' as const },
  laterMs: 60_000,
};

describe('what a device remembers of the rig', () => {
  afterEach(() => vi.unstubAllGlobals());
  const stub = (setItem?: () => void) => {
    const kept = new Map<string, string>();
    const localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: setItem ?? ((key: string, text: string) => void kept.set(key, text)),
      removeItem: (key: string) => void kept.delete(key),
    };
    vi.stubGlobal('window', { localStorage });
    return kept;
  };
  it('comes back, run by run, until it is forgotten', () => {
    stub();
    rememberRig('J', 'R1', memory);
    expect(recallRig('J', 'R1')).toEqual(memory);
    expect(recallRig('J', 'R2')).toBeNull();
    rememberRig('J', 'R1', null);
    expect(recallRig('J', 'R1')).toBeNull();
  });
  it('is nothing when it cannot be read, and lost quietly when there is no room', () => {
    const kept = stub();
    kept.set('chert:rig:J:R1', '{half');
    expect(recallRig('J', 'R1')).toBeNull();
    stub(() => {
      throw new Error('QuotaExceededError');
    });
    expect(() => rememberRig('J', 'R1', memory)).not.toThrow();
  });
});

describe('where a camera stands that was never in the rig', () => {
  it.each([
    ['at the rim', { at: 'rim' as const, readingFt: 0, dropFt: 2 }, 0, 0],
    ['at the foot of the riser', { at: 'horizontal' as const, readingFt: 0, dropFt: 0 }, 0, 2],
    [
      'as far in as the log left the counter',
      { at: 'rim' as const, readingFt: 5, dropFt: 2 },
      25,
      20,
    ],
  ])('%s', (_where, zero, counterFt, headFt) => {
    expect(placeFromLog(runOf([], { zero }), counterFt, 'out', 2)).toMatchObject({
      headFt,
      readingFt: counterFt,
    });
  });
});
