import { describe, expect, it } from 'vitest';
import type { Run } from '../model/job/run';
import { DEFAULT_SETTINGS } from '../model/job/settings';
import { foldLog } from '../model/log/fold';
import { CLAY, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { layRun, type RunOrigin } from './placement';
import { hasLip, placeStretches } from './stretch';

const SURE: RunOrigin = { originFt: 0, scale: 1, varianceAt: () => 0, varianceBetween: () => 0 };
const lay = (said: Said[], setup: Partial<Run> = {}) => {
  const run = runOf(said, setup);
  return layRun(run, foldLog(run.entries), DEFAULT_SETTINGS, SURE);
};
const only = (...said: Said[]) => {
  const placed = placeStretches(lay([CLAY, ...said, MAIN_AT_60]), 'defect');
  expect(placed).toHaveLength(1);
  return placed[0]!;
};
const scale = (more: Partial<Said>): Said => ({ kind: 'defect', defect: 'scale', ...more });

describe('the two ends of a stretch', () => {
  it.each<[string, Said, [number, number, number | null, boolean]]>([
    ['both said', scale({ readingFt: 20, toReadingFt: 28 }), [20, 28, 8, false]],
    ['said backwards', scale({ readingFt: 28, toReadingFt: 20 }), [20, 28, 8, false]],
    ['a length, on the way out', scale({ readingFt: 20, lengthFt: 8 }), [20, 28, 8, false]],
    [
      'a length, on the way back',
      scale({ readingFt: 20, lengthFt: 8, pass: 'back' }),
      [12, 20, 8, false],
    ],
    ['a point', scale({ readingFt: 20 }), [20, 20, null, false]],
    ['opened and never closed', scale({ readingFt: 20, open: true }), [20, 20, null, true]],
    [
      'opened: a length is not its other end',
      scale({ readingFt: 20, open: true, lengthFt: 8 }),
      [20, 20, null, true],
    ],
  ])('%s', (_, said, [fromFt, toFt, lengthFt, stillOpen]) => {
    const { span, ...placed } = only(said);
    expect([span.fromFt, span.toFt]).toEqual([fromFt, toFt]);
    expect(placed).toMatchObject({ lengthFt, stillOpen, isPlaceUnsaid: false, inRiser: false });
  });

  it('are given by the close, also where the opening was corrected since', () => {
    const opened = scale({ readingFt: 20, open: true });
    const closed = only(opened, { kind: 'close', closes: 'e2', readingFt: 27 });
    expect([closed.span.fromFt, closed.span.toFt, closed.stillOpen]).toEqual([20, 27, false]);
    expect(closed.closedBy!.id).toBe('e3');
    const mended = only(
      opened,
      { kind: 'close', closes: 'e2', readingFt: 27 },
      scale({ readingFt: 22, open: true, replaces: 'e2' }),
    );
    expect([mended.span.fromFt, mended.span.toFt]).toEqual([22, 27]);
  });

  it('lie between the neighbours in time where nobody said a footage, and are so much less sure', () => {
    const said = only(scale({ readingFt: 20 }));
    const unsaid = only({ kind: 'note', note: 'a', readingFt: 18 }, scale({ readingFt: null }), {
      kind: 'note',
      note: 'b',
      readingFt: 24,
    });
    expect([unsaid.span.fromFt, unsaid.span.toFt]).toEqual([18, 24]);
    expect(unsaid).toMatchObject({ isPlaceUnsaid: true, lengthFt: null });
    expect(unsaid.readingSigmaFt - said.readingSigmaFt).toBeGreaterThan(2.9);
    expect(unsaid.sigmaFt).toBeGreaterThan(3);
  });

  it('has a place as soon as one end was said', () => {
    const closed = only(
      { kind: 'note', note: 'a', readingFt: 18 },
      scale({ readingFt: null, open: true }),
      { kind: 'close', closes: 'e3', readingFt: 30 },
    );
    expect(closed).toMatchObject({ isPlaceUnsaid: false, stillOpen: false });
    expect(closed.span.toFt).toBe(30);
  });
});

describe('what reaches into the riser', () => {
  // A drop of 5 ft: readings below 5 are in the riser.
  const rim = { zero: { at: 'rim', readingFt: 0, dropFt: 5 } } as const;
  const placed = (more: Partial<Said>) =>
    placeStretches(lay([scale(more), MAIN_AT_60], rim), 'defect')[0]!;

  it('has no station where all of it is there', () => {
    expect(placed({ readingFt: 1, toReadingFt: 4 }).inRiser).toBe(true);
    expect(placed({ readingFt: 5, toReadingFt: 5 }).inRiser).toBe(false);
  });

  it('counts from the line on where a part of it is in the pipe', () => {
    const part = placed({ readingFt: 3, toReadingFt: 9 });
    expect(part.inRiser).toBe(false);
    expect(part.span).toEqual({ fromFt: 0, toFt: 4 });
  });
});

describe('a lip that was said with a change of pipe', () => {
  const change = (more: Partial<Said>): Said => ({
    kind: 'material',
    material: 'pvc',
    diameterIn: 6,
    side: 'far',
    readingFt: 40,
    ...more,
  });
  const lips = (...said: Said[]) =>
    placeStretches(lay([CLAY, ...said, MAIN_AT_60]), 'defect').map(({ entry, span }) => [
      entry.lipIn,
      span.fromFt,
    ]);
  const lip = (more: Partial<Said>): Said => ({ kind: 'defect', defect: 'lip', ...more });

  it('is a defect of its own, by its height or by the word', () => {
    expect(lips(change({ lipIn: 0.4 }))).toEqual([[0.4, 40]]);
    expect(lips(change({ joint: 'lip' }))).toEqual([[undefined, 40]]);
    expect(lips(change({ lipIn: 0 }))).toEqual([]);
    expect(lips(change({ joint: 'smooth' }))).toEqual([]);
  });

  it('is the one logged by itself within a foot of it on the same pass', () => {
    expect(lips(change({ lipIn: 0.4 }), lip({ readingFt: 41, lipIn: 0.5 }))).toEqual([[0.5, 41]]);
    expect(lips(change({ lipIn: 0.4 }), lip({ readingFt: 41.2, lipIn: 0.5 }))).toHaveLength(2);
    expect(
      lips(change({ lipIn: 0.4 }), lip({ readingFt: 40, lipIn: 0.5, pass: 'back' })),
    ).toHaveLength(2);
    expect(lips(change({ lipIn: 0.4 }), lip({ readingFt: null, lipIn: 0.5 }))).toHaveLength(2);
  });

  it('is told by height or word alone', () => {
    const entry = (more: object) => ({ kind: 'material', ...more }) as Parameters<typeof hasLip>[0];
    expect(hasLip(entry({ lipIn: 0.1 }))).toBe(true);
    expect(hasLip(entry({ joint: 'lip' }))).toBe(true);
    expect(hasLip(entry({ lipIn: 0 }))).toBe(false);
    expect(hasLip(entry({ joint: 'coupling' }))).toBe(false);
  });
});

describe('what nobody could see', () => {
  it('is laid like what was seen, and apart from it', () => {
    const axis = lay([
      CLAY,
      scale({ readingFt: 10 }),
      { kind: 'unseen', cause: 'murky', readingFt: 20, toReadingFt: 26 },
      MAIN_AT_60,
    ]);
    const unseen = placeStretches(axis, 'unseen');
    expect(unseen.map(({ span, lengthFt }) => [span.fromFt, span.toFt, lengthFt])).toEqual([
      [20, 26, 6],
    ]);
    expect(placeStretches(axis, 'defect')).toHaveLength(1);
  });
});
