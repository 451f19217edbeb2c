import { describe, expect, it } from 'vitest';
import { assessmentOf, minute, type Said } from '../testing/build';

/** Water on, off and drained; what is seen stands before the middle of it, or after. */
const WATER: readonly Said[] = [
  { kind: 'water', state: 'running', at: minute(1) },
  { kind: 'water', state: 'draining', at: minute(10) },
  { kind: 'water', state: 'drained', at: minute(30) },
];
const pool = (more: object): Said => ({
  kind: 'defect',
  defect: 'standing-water',
  readingFt: 20,
  toReadingFt: 26,
  fillRatio: 0.3,
  ...more,
});
const LOOKED = { by: 'A. Looker', at: '2026-11-05T09:00:00-08:00' };
const isVerified = (...said: readonly Said[]) =>
  assessmentOf([...WATER, ...said]).findings.find(({ kind }) => kind === 'standing-water')!
    .verified;

describe('standing water that is seen in a recording', () => {
  it('is verified by the water of the moment that the picture shows', () => {
    expect(isVerified(pool({ at: minute(40), secondLook: LOOKED }))).toBe(true);
    expect(isVerified(pool({ at: minute(5), secondLook: LOOKED }))).toBe(false);
  });
  it('is not verified where nobody said when the recording began', () => {
    expect(isVerified(pool({ at: LOOKED.at, secondLook: LOOKED }))).toBe(false);
  });
  it('and was corrected there keeps the moment at which it was seen in the line', () => {
    const running = pool({ id: 'p', at: minute(5) });
    const measured = pool({ replaces: 'p', at: LOOKED.at, secondLook: LOOKED, fillRatio: 0.28 });
    expect(isVerified(running, measured)).toBe(false);
    expect(isVerified(pool({ id: 'p', at: minute(40) }), measured)).toBe(true);
  });
});
