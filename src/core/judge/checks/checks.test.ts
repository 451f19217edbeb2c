import { describe, expect, it } from 'vitest';
import { assess } from '../../assess';
import type { Run } from '../../model/job/run';
import { CLAY, inspectionOf, MAIN_AT_60, minute, runOf, type Said } from '../../testing/build';
import { CHECKS } from './index';

const BACK = { pass: 'back' } as const;
const defect = (kind: string, more: Record<string, unknown> = {}): Said => ({
  kind: 'defect',
  defect: kind,
  readingFt: 30,
  photoIds: ['p'],
  ...more,
});
/** Logged on the way back, sized, located and with a still: nothing to ask about. */
const tidy = (more: Record<string, unknown> = {}) => defect('gap', { gapIn: 2, ...BACK, ...more });
const locate: Said = { kind: 'locate', depthIn: 48, readingFt: 31, ...BACK };
const home = (readingFt: number): Said => ({ kind: 'home', readingFt, ...BACK });
const end = (more: Record<string, unknown> = {}): Said => ({ ...MAIN_AT_60, ...more });
const pvc = (readingFt: number, side: string, more = {}): Said => ({
  kind: 'material',
  readingFt,
  side,
  material: 'pvc',
  diameterIn: 6,
  ...more,
});

type Case = { fires: Said[]; quiet: Said[]; run?: Partial<Run> };
const CASES: Record<string, Case> = {
  'run-no-zero': {
    fires: [CLAY, end()],
    quiet: [CLAY, end()],
    run: { zero: { at: 'unknown', readingFt: 0, dropFt: 0 } },
  },
  'run-no-end': { fires: [CLAY], quiet: [CLAY, end()] },
  'end-unconfirmed': {
    fires: [CLAY, end({ confirmedBy: 'none' })],
    quiet: [CLAY, end({ reason: 'lost-push', confirmedBy: 'none' })],
  },
  'beyond-end': {
    fires: [CLAY, end(), { kind: 'note', note: 'x', readingFt: 60.6 }],
    quiet: [CLAY, end(), { kind: 'note', note: 'x', readingFt: 60.5 }],
  },
  'stretch-open': {
    fires: [CLAY, defect('scale', { open: true }), end()],
    quiet: [
      CLAY,
      defect('scale', { open: true }),
      { kind: 'close', closes: 'e2', readingFt: 34 },
      end(),
    ],
  },
  'material-conflict': {
    fires: [CLAY, pvc(20, 'near'), pvc(20, 'far'), end()],
    quiet: [CLAY, pvc(20, 'far'), end()],
  },
  'water-unverified': {
    fires: [
      CLAY,
      { kind: 'water', state: 'running' },
      defect('standing-water', { toReadingFt: 34 }),
      end(),
    ],
    quiet: [
      CLAY,
      { kind: 'water', state: 'drained' },
      defect('standing-water', { toReadingFt: 34 }),
      end(),
    ],
  },
  'unseen-called-good': {
    fires: [CLAY, end(), { kind: 'clear', readingFt: 50, toReadingFt: 70 }],
    quiet: [
      CLAY,
      { kind: 'note', note: 'good condition', readingFt: 40 },
      { kind: 'clear', readingFt: 50, toReadingFt: 60 },
      end(),
    ],
  },
  'clear-contradicted': {
    fires: [CLAY, tidy(), { kind: 'clear', readingFt: 20, toReadingFt: 40 }, end()],
    quiet: [
      CLAY,
      tidy(),
      { kind: 'clear', readingFt: 20, toReadingFt: 40, kinds: ['roots'] },
      { kind: 'clear', readingFt: 20, toReadingFt: 30 - 0.5 },
      end(),
    ],
  },
  'home-implausible': {
    fires: [CLAY, end(), home(39)],
    quiet: [CLAY, end(), { ...home(39), accepted: true }],
  },
  implausible: {
    fires: [CLAY, defect('standing-water', { depthIn: 28, toReadingFt: 34 }), end()],
    quiet: [CLAY, defect('standing-water', { depthIn: 6, toReadingFt: 34 }), end()],
  },
  'zone-open': {
    fires: [CLAY, { kind: 'zone', zone: 'crawlspace', side: 'far', readingFt: 0 }, end()],
    quiet: [
      CLAY,
      { kind: 'zone', zone: 'crawlspace', side: 'far', readingFt: 0 },
      { kind: 'feature', feature: 'wall', readingFt: 12 },
      end(),
    ],
  },
  'zone-unknown': {
    fires: [CLAY, tidy(), end()],
    quiet: [CLAY, { kind: 'zone', zone: 'yard', side: 'far', readingFt: 0 }, tidy(), end()],
  },
  'size-by-word': {
    fires: [CLAY, defect('roots', { sizeWord: 'heavy' }), end()],
    quiet: [CLAY, defect('roots', { sizeWord: 'heavy', extentRatio: 0.3 }), end()],
  },
  'advice-differs': {
    fires: [
      CLAY,
      tidy(),
      { kind: 'advice', does: 'monitor', text: 'leave it', readingFt: 30 },
      end(),
    ],
    quiet: [CLAY, tidy(), { kind: 'advice', does: 'dig', text: 'dig it up', readingFt: 30 }, end()],
  },
  'flag-open': {
    fires: [CLAY, { kind: 'flag', readingFt: 9 }, end()],
    quiet: [
      CLAY,
      { kind: 'flag', readingFt: 9 },
      { ...tidy({ readingFt: 9 }), replaces: 'e2' },
      end(),
    ],
  },
  'reading-missing': {
    fires: [CLAY, defect('roots', { readingFt: null }), end()],
    quiet: [CLAY, { kind: 'water', state: 'running', readingFt: null }, end()],
  },
  'stretch-reversed': {
    fires: [CLAY, defect('scale', { toReadingFt: 20 }), end()],
    quiet: [CLAY, defect('scale', { toReadingFt: 20, ...BACK }), end()],
  },
  'length-mismatch': {
    fires: [CLAY, defect('scale', { toReadingFt: 38, lengthFt: 5 }), end()],
    quiet: [CLAY, defect('scale', { toReadingFt: 38, lengthFt: 7 }), end()],
  },
  'material-zero-length': {
    fires: [CLAY, pvc(20, 'far'), { ...CLAY, readingFt: 20.4 }, end()],
    quiet: [CLAY, pvc(20, 'far'), { ...CLAY, readingFt: 20.6 }, end()],
  },
  'material-gap': {
    fires: [pvc(20, 'far'), end()],
    quiet: [pvc(20, 'near'), pvc(20, 'far'), end()],
  },
  'material-suspected': {
    fires: [{ ...CLAY, certainty: 'suspected' }, end()],
    quiet: [CLAY, end()],
  },
  'near-duplicate': {
    fires: [CLAY, tidy(), tidy({ readingFt: 31.5 }), end()],
    quiet: [CLAY, tidy(), tidy({ readingFt: 32.5 }), end()],
  },
  'back-unconfirmed': {
    fires: [CLAY, defect('gap', { gapIn: 2 }), end()],
    quiet: [CLAY, defect('gap', { gapIn: 2 }), end(), tidy({ readingFt: 29 })],
  },
  homecoming: { fires: [CLAY, end(), home(2.3)], quiet: [CLAY, end(), home(2.1)] },
  'size-missing': {
    fires: [CLAY, defect('roots'), end()],
    quiet: [CLAY, defect('roots', { extentRatio: 0.2 }), end()],
  },
  'no-locate': {
    fires: [CLAY, tidy({ readingFt: 35 }), locate, end()],
    quiet: [CLAY, tidy(), locate, end()],
  },
  'no-photo': {
    fires: [CLAY, tidy({ photoIds: [] }), end()],
    quiet: [CLAY, tidy(), defect('offset', { offsetIn: 0.1, photoIds: [] }), end()],
  },
  'reduces-downstream': {
    fires: [CLAY, pvc(20, 'far', { diameterIn: 4 }), end()],
    quiet: [CLAY, pvc(20, 'far', { diameterIn: 8 }), end()],
  },
  'outside-scope': {
    fires: [CLAY, { kind: 'feature', feature: 'wall', readingFt: 33 }, tidy(), end()],
    quiet: [CLAY, { kind: 'feature', feature: 'wall', readingFt: 20 }, tidy(), end()],
  },
  'reading-jump': {
    fires: [
      CLAY,
      defect('gap', { gapIn: 0.2 }),
      defect('offset', { offsetIn: 0.2, readingFt: 28 }),
      end(),
    ],
    quiet: [
      CLAY,
      defect('gap', { gapIn: 0.2 }),
      defect('offset', { offsetIn: 0.2, readingFt: 28.1 }),
      { kind: 'zone', zone: 'yard', side: 'far', readingFt: 2 },
      { kind: 'material', side: 'far', material: 'pvc', diameterIn: 6, readingFt: 20 },
      defect('grease', { extentRatio: 0.2, readingFt: 20, toReadingFt: 40 }),
      end(),
    ],
  },
  'short-drain': {
    fires: [
      CLAY,
      { kind: 'water', state: 'draining', at: minute(1) },
      { kind: 'water', state: 'drained', at: minute(3) },
      defect('standing-water', { at: minute(4) }),
      end({ at: minute(9) }),
    ],
    quiet: [
      CLAY,
      { kind: 'water', state: 'draining', at: minute(1) },
      { kind: 'water', state: 'drained', at: minute(5) },
      defect('standing-water', { at: minute(6.5) }),
      end({ at: minute(9) }),
    ],
  },
};
const issuesOf = (said: Said[], setup: Partial<Run> = {}) =>
  assess(inspectionOf([runOf(said, setup)])).checks;

describe('checks', () => {
  it.each(Object.entries(CASES))(
    '%s fires where it must, with what to do, and not where it must not',
    (code, { fires, quiet, run }) => {
      const found = issuesOf(fires, run).filter((issue) => issue.code === code);
      expect(found.length).toBeGreaterThan(0);
      for (const { message, action, runIds } of found) {
        expect(message).toMatch(/\d/);
        expect(action.endsWith('.')).toBe(true);
        expect(runIds.length).toBeGreaterThan(0);
      }
      expect(issuesOf(quiet).map((issue) => issue.code)).not.toContain(code);
    },
  );

  it('has a case for every check but those tested with the joining and with decisions', () => {
    const elsewhere = [
      'access-untried',
      'counters-disagree',
      'run-unplaced',
      'tie-misfit',
      'tie-unchecked',
      'no-advice',
      'override-stale',
    ];
    expect([...Object.keys(CASES), ...elsewhere].sort()).toEqual(
      CHECKS.map(({ code }) => code).sort(),
    );
  });

  it('asks nothing of an abandoned run without an end', () => {
    expect(issuesOf([CLAY], { outcome: 'abandoned' }).map(({ code }) => code)).not.toContain(
      'run-no-end',
    );
  });

  it('takes an open stretch as settled when another pass saw both its ends', () => {
    const issues = issuesOf([
      CLAY,
      defect('scale', { open: true }),
      end(),
      defect('scale', { ...BACK, readingFt: 36, toReadingFt: 30 }),
    ]);
    expect(issues.map(({ code }) => code)).not.toContain('stretch-open');
  });
});
