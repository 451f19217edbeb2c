import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inspectionOf, runOf } from '#core/testing/build';
import {
  type Base,
  type Change,
  forgettable,
  isNewer,
  KEEP_SENT_MS,
  type Kept,
  latestBase,
  newlyShown,
  screenOf,
  superseded,
} from './change';

import { DEVICES, FIELDS, pageOf, STEPS, World } from './testing/change-world';

const steps = fc.array(fc.tuple(fc.constantFrom(...STEPS), fc.nat(DEVICES - 1), fc.nat(20)), {
  maxLength: 40,
});
/** 10,000 in the suite; more by hand. */
const SEQUENCES = Number(process.env['CHERT_SEQUENCES'] ?? 10_000);

describe('the life of a change', () => {
  it(`loses nothing and brings nothing old back, over ${SEQUENCES} sequences of three devices`, () => {
    fc.assert(
      fc.property(steps, (sequence) => {
        const world = new World();
        for (const step of sequence) world.step(step);
        world.settle();
        const { server } = world;
        // Every entry is there, once.
        expect([...server.log].sort()).toEqual([...world.logged].sort());
        for (const device of world.devices) {
          // What is on the screen once all is sent is what the server has.
          const shown = pageOf(server).inspection;
          expect(device.fields()).toEqual(FIELDS.map((field) => shown.property[field]));
          expect(device.entries()).toEqual(server.log);
          expect(device.waits()).toEqual([]);
        }
        // And where one device alone set a field, it is what that said last.
        for (const [field, editors] of world.editors) {
          const [only, other] = [...editors];
          if (other === undefined)
            expect(pageOf(server).inspection.property[field], field).toBe(
              world.devices[only!]!.said.get(field),
            );
        }
      }),
      { numRuns: SEQUENCES },
    );
  });
});

const kept = (seq: number, change: Change, more: Partial<Kept> = {}): Kept => ({
  seq,
  jobId: 'J',
  id: String(seq),
  installation: 'I',
  base: 1,
  saidAt: '2026-11-03T09:00:00Z',
  change,
  state: 'kept',
  ...more,
});
const year = (value: number): Change => ({
  what: 'edits',
  edits: [{ path: ['property', 'yearBuilt'], value }],
});
const shownAt = (rev: number, yearBuilt: number, era = 'E1'): Base => ({
  jobId: 'J',
  installation: 'I',
  era,
  rev,
  inspection: inspectionOf([runOf([])], { property: { yearBuilt } }),
});

describe('an old change', () => {
  it('never comes back over what the server shows: 1950, then 1985, at the second reload', () => {
    const ack = (rev: number) => ({ rev, era: 'E1', at: '2026-11-03T09:00:00Z' });
    const both = [
      kept(1, year(1950), { state: 'acknowledged', ack: ack(2) }),
      kept(2, year(1985), { state: 'acknowledged', ack: ack(3) }),
    ];
    // A page from before either, one from between, one from after.
    expect(screenOf(shownAt(1, 1900), both).property.yearBuilt).toBe(1985);
    expect(screenOf(shownAt(2, 1950), both).property.yearBuilt).toBe(1985);
    expect(screenOf(shownAt(3, 1985), both).property.yearBuilt).toBe(1985);
    // The first was forgotten with its page; another device has said 2001 since.
    expect(screenOf(shownAt(4, 2001), both.slice(0, 1)).property.yearBuilt).toBe(2001);
  });

  it('that was refused is superseded once its field is said anew, and not before', () => {
    const refused = kept(1, year(1950), { state: 'refused', refused: 'why' });
    expect(superseded([refused])).toEqual([]);
    expect(superseded([refused, kept(2, year(1985))])).toEqual([refused]);
    expect(superseded([kept(0, year(1985)), refused])).toEqual([]);
  });

  it('for another Chert is neither laid nor taken as shown', () => {
    const foreign = kept(1, year(1950), { installation: 'other' });
    expect(screenOf(shownAt(1, 1900), [foreign]).property.yearBuilt).toBe(1900);
    const taken = {
      ...foreign,
      state: 'acknowledged' as const,
      ack: { rev: 1, era: 'E1', at: '' },
    };
    expect(newlyShown(shownAt(9, 1900), [taken])).toEqual([]);
  });

  it('is kept for thirty days after it was shown, and then forgotten', () => {
    const at = '2026-11-03T09:00:00Z';
    const shown = kept(1, year(1950), { state: 'shown', ack: { rev: 2, era: 'E1', at } });
    const waiting = kept(2, year(1950));
    const nowMs = Date.parse(at) + KEEP_SENT_MS;
    expect(forgettable([shown, waiting], nowMs)).toEqual([]);
    expect(forgettable([shown, waiting], nowMs + 1)).toEqual([shown]);
  });

  it('is measured against the newer of two states: by revision, across a restore by era', () => {
    expect(isNewer({ era: 'E1', rev: 2 }, { era: 'E1', rev: 1 })).toBe(true);
    expect(isNewer({ era: 'E1', rev: 9 }, { era: 'E2', rev: 1 })).toBe(false);
    const held = shownAt(5, 1900);
    expect(latestBase(held, shownAt(4, 1800))).toBe(held);
    expect(latestBase(held, { ...shownAt(1, 1800), installation: 'other' }).rev).toBe(1);
  });
});
