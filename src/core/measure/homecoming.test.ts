import { describe, expect, it } from 'vitest';
import { foldLog } from '../model/log/fold';
import { entries, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { correctReadingFt, measureHomecoming, mostSlipFt, slipShare } from './homecoming';

const home = (readingFt: number | null, more: Partial<Said> = {}): Said => ({
  kind: 'home',
  pass: 'back',
  readingFt,
  ...more,
});
/** A run to the main at 60 ft whose counter stood at 10 ft at the zero: 50 ft of pipe. */
const measure = (...said: Said[]) =>
  measureHomecoming(
    runOf([MAIN_AT_60], { zero: { readingFt: 10, at: 'rim', dropFt: 0 } }),
    foldLog(entries(MAIN_AT_60, ...said)).standing,
  );

describe('a counter that began at 10 ft', () => {
  it('is measured from its zero: m = 11 − 10 = 1, T = 50 + 49 = 99', () => {
    expect(measure(home(11))).toMatchObject({
      zeroFt: 10,
      farthestFt: 60,
      homeFt: 11,
      misclosureFt: 1,
      sharedFt: 1,
      cableFt: 99,
      excessive: false,
      implausible: null,
    });
  });

  // Half way out 25 ft of cable of 99 have moved; half way back 50 + 25; with slip on the way out 25 of 50.
  it.each([
    ['out', 35, 'even', 25 / 99],
    ['back', 35, 'even', 75 / 99],
    ['out', 35, 'out', 25 / 50],
    ['back', 35, 'out', 1],
    ['out', 10, 'out', 0],
    ['back', 11, 'even', 1],
  ] as const)('%s at %d ft, slip %s: a share of %d', (pass, reading, slipOn, share) => {
    const measured = measure(home(11));
    expect(slipShare(measured, pass, reading, slipOn)).toBeCloseTo(share, 12);
    expect(correctReadingFt(measured, pass, reading, slipOn)).toBeCloseTo(reading - share, 12);
  });

  it('takes the last homecoming that has a reading, and no other entry for one', () => {
    expect(measure(home(10.5), home(11)).homeFt).toBe(11);
    expect(measure(home(11), home(null)).homeFt).toBe(11);
    expect(measure(home(11), { kind: 'note', note: 'in the van', readingFt: 3 }).homeFt).toBe(11);
  });

  it('carries nothing that nobody measured', () => {
    expect(measure()).toMatchObject({ homeFt: null, misclosureFt: 0, sharedFt: 0, cableFt: 100 });
    expect(measure()).toMatchObject({ excessive: false, implausible: null });
  });
});

describe('a homecoming that no slip explains', () => {
  // Three feet or a twentieth of the farthest reading, whichever is more.
  it.each([
    [30, 3],
    [60, 3],
    [80, 4],
    [100, 5],
  ])('on %d ft of line is one of more than %d ft', (farthest, most) => {
    expect(mostSlipFt(farthest)).toBeCloseTo(most, 12);
  });

  it('is one just above that, either way, and is then shared out over nothing', () => {
    const at = (feet: number) => measure(home(10 + feet));
    expect(at(3)).toMatchObject({ implausible: null, sharedFt: 3, excessive: true, cableFt: 97 });
    expect(at(-3)).toMatchObject({ implausible: null, sharedFt: -3, excessive: true });
    for (const feet of [3.01, -3.01]) {
      const measured = at(feet);
      expect(measured.implausible?.kind).toBe('home');
      expect(measured).toMatchObject({ sharedFt: 0, excessive: false, cableFt: 100 });
      expect(measured.misclosureFt).toBeCloseTo(feet, 9);
    }
  });

  it('is shared out once somebody has looked at it twice', () => {
    const accepted = measure(home(30, { accepted: true }));
    expect(accepted).toMatchObject({ implausible: null, sharedFt: 20, excessive: true });
    expect(measure(home(30, { accepted: false })).implausible).not.toBeNull();
  });
});

it('a head that never left its zero carries no slip', () => {
  const still = measureHomecoming(runOf([]), []);
  expect([still.cableFt, still.farthestFt]).toEqual([0, 0]);
  for (const slipOn of ['even', 'out'] as const)
    for (const pass of ['out', 'back'] as const) expect(slipShare(still, pass, 0, slipOn)).toBe(0);
});
