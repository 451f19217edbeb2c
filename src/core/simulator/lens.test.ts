import { describe, expect, it } from 'vitest';
import { plainLateral } from '../testing/laterals';
import { CLEAN_LENS, moveLens, washLens } from './lens';
import { layPath } from './path';
import type { TruthDefect } from './truth';

const pathOf = (defect: TruthDefect) =>
  layPath(plainLateral({ defects: [defect] }), 'A', 'downstream');
const grease = (extentRatio: number) =>
  pathOf({ atFt: 10, toFt: 14, defect: 'grease', extentRatio });
const DRY = { isUnder: false, isMurky: false };

describe('dirt on the glass', () => {
  it('comes from what the head is pushed through, more for more of it, either way', () => {
    const through = (extentRatio: number, fromFt = 13, toFt = 14) =>
      moveLens(CLEAN_LENS, grease(extentRatio), fromFt, toFt, 1, DRY).fouledRatio;
    // A foot through grease over a tenth of the pipe: 1.2 × 0.1.
    expect(through(0.1)).toBeCloseTo(0.12, 9);
    expect(through(0.3)).toBeGreaterThan(through(0.1));
    expect(through(0.1, 14, 13)).toBeCloseTo(0.12, 9);
    expect(through(0.1, 20, 21)).toBe(0);
    expect(through(1, 12, 16)).toBe(1);
  });
  it('is rinsed by clear water and not by murky', () => {
    const dirty = { fouledRatio: 0.8, dropsRatio: 0 };
    const after = (isUnder: boolean, isMurky: boolean) =>
      moveLens(dirty, grease(0.1), 30, 30, 10, { isUnder, isMurky }).fouledRatio;
    // e^(−0.12 × 10) of it is left.
    expect(after(true, false)).toBeCloseTo(0.8 * Math.exp(-1.2), 9);
    expect(after(true, true)).toBe(0.8);
    expect(after(false, false)).toBe(0.8);
  });
  it('comes off in a wash, which leaves drops that run off', () => {
    const washed = washLens({ fouledRatio: 1, dropsRatio: 0 });
    expect(washed.fouledRatio).toBeLessThan(0.1);
    expect(washed.dropsRatio).toBeGreaterThan(0.5);
    expect(moveLens(washed, grease(0.1), 30, 30, 60, DRY).dropsRatio).toBe(0);
  });
});
