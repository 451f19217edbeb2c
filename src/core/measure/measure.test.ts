import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Run } from '../model/job/run';
import { DEFAULT_SETTINGS } from '../model/job/settings';
import { foldLog } from '../model/log/fold';
import { entries, MAIN_AT_60, runOf, type Said } from '../testing/build';
import { arcHours, arcsCompatible, mirrorClock, normaliseArc } from './clock';
import { correctReadingFt, measureHomecoming } from './homecoming';
import { mergeSightings } from './merge';
import { layRun, type RunOrigin } from './placement';
import { endsApartFt } from './sighting';

const SURE: RunOrigin = { originFt: 0, scale: 1, varianceAt: () => 0, varianceBetween: () => 0 };

const lay = (said: Said[], setup: Partial<Run> = {}, settings = DEFAULT_SETTINGS) => {
  const run = runOf(said, setup);
  return layRun(run, foldLog(run.entries), settings, SURE);
};
const home = (readingFt: number): Said => ({ kind: 'home', pass: 'back', readingFt });

describe('homecoming', () => {
  // By hand: r0 = 0, rmax = 60, rc = 2, so m = 2 and T = 60 + 58 = 118.
  it.each<[string, 'out' | 'back', number, number]>([
    ['nothing at the zero', 'out', 0, 0],
    ['half way out: 30 − 2·30/118', 'out', 30, 29.4915],
    ['at the end: 60 − 2·60/118', 'out', 60, 58.9831],
    ['half way back: 30 − 2·(60 + 30)/118', 'back', 30, 28.4746],
    ['home: 2 − 2·118/118', 'back', 2, 0],
  ])('shares out the misclosure: %s', (_, pass, reading, expected) => {
    const axis = lay([MAIN_AT_60, home(2)]);
    expect(axis.alongOf(pass, reading)).toBeCloseTo(expected, 4);
  });

  it('puts it all on the way out when the setting says so', () => {
    const axis = lay([MAIN_AT_60, home(2)], {}, { ...DEFAULT_SETTINGS, slipOn: 'out' });
    expect(axis.alongOf('out', 30)).toBeCloseTo(29, 9);
    expect(axis.alongOf('back', 30)).toBeCloseTo(28, 9);
  });

  it('asks about more than 1 ft and 2% of the farthest reading', () => {
    const run = runOf([MAIN_AT_60]);
    const excess = (feet: number) =>
      measureHomecoming(run, foldLog(entries(MAIN_AT_60, home(feet))).standing).excessive;
    expect(excess(2.2)).toBe(false);
    expect(excess(2.21)).toBe(true);
  });

  it('moves nothing without a homecoming, and never loses the order of readings', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (farthestFt, homeFt, a, b) => {
          const base = { zeroFt: 0, farthestFt, excessive: false, implausible: null };
          const still = {
            ...base,
            homeFt: null,
            misclosureFt: 0,
            sharedFt: 0,
            cableFt: 2 * farthestFt,
          };
          expect(correctReadingFt(still, 'out', a * farthestFt, 'even')).toBe(a * farthestFt);
          const slipped = {
            ...base,
            homeFt,
            misclosureFt: homeFt,
            sharedFt: homeFt,
            cableFt: 2 * farthestFt - homeFt,
          };
          const [low, high] = [Math.min(a, b) * farthestFt, Math.max(a, b) * farthestFt];
          for (const pass of ['out', 'back'] as const) {
            const at = (reading: number) => correctReadingFt(slipped, pass, reading, 'even');
            expect(at(high)).toBeGreaterThanOrEqual(at(low) - 1e-9);
          }
        },
      ),
    );
  });
});

describe('stations', () => {
  it('deducts the drop only when the zero is at the rim', () => {
    const zero = { at: 'rim', readingFt: 1, dropFt: 4 } as const;
    expect(lay([MAIN_AT_60], { zero }).placeOf('out', 25).stationFt).toBe(20);
    const base = { ...zero, at: 'riser-base' } as const;
    expect(lay([MAIN_AT_60], { zero: base }).placeOf('out', 25).stationFt).toBe(24);
  });

  it('counts upstream runs the other way', () => {
    expect(lay([MAIN_AT_60], { facing: 'upstream' }).placeOf('out', 12).stationFt).toBe(-12);
  });

  it('gives σ of half a foot, half a percent, and half the misclosure carried', () => {
    const { sigmaFt } = lay([MAIN_AT_60, home(2)]).placeOf('out', 30);
    // 0.5 + 0.005·29.4915 + (2·30/118)/2
    expect(sigmaFt).toBeCloseTo(0.5 + 0.147458 + 0.254237, 5);
  });

  it('puts a thing with no footage between its neighbours in time', () => {
    const axis = lay([
      { kind: 'note', readingFt: 10 },
      { kind: 'flag', readingFt: null },
      { kind: 'note', readingFt: 18 },
      { kind: 'flag', readingFt: null },
    ]);
    const at = (id: string) => {
      const { from, to } = axis.placeOfEntry(axis.log.byId.get(id)!);
      return [from.stationFt, to.stationFt];
    };
    expect(at('e2')).toEqual([10, 18]);
    expect(at('e4')).toEqual([18, 18]);
  });
});

describe('clock', () => {
  const hours = fc.integer({ min: 1, max: 24 }).map((half) => half / 2);

  it('mirrors left to right', () => {
    expect([12, 3, 6, 10.5, 0.5].map(mirrorClock)).toEqual([12, 9, 6, 1.5, 11.5]);
    expect(normaliseArc({ from: 2, to: 5 }, 'upstream')).toEqual({ from: 7, to: 10 });
    expect(normaliseArc({ from: 2, to: 5 }, 'downstream')).toEqual({ from: 2, to: 5 });
  });

  it('mirrored twice is itself, and an arc keeps its length', () => {
    fc.assert(
      fc.property(hours, hours, (from, to) => {
        const once = normaliseArc({ from, to }, 'upstream');
        expect(normaliseArc(once, 'upstream')).toEqual({ from, to });
        expect(arcHours(once)).toBeCloseTo(arcHours({ from, to }), 9);
      }),
    );
  });

  it('calls arcs compatible when they meet within an hour', () => {
    expect(arcsCompatible({ from: 10, to: 2 }, { from: 3, to: 5 })).toBe(true);
    expect(arcsCompatible({ from: 10, to: 2 }, { from: 5, to: 7 })).toBe(false);
    expect(arcsCompatible({ from: 2, to: 11 }, { from: 6, to: 6 })).toBe(true);
    expect(arcsCompatible(null, { from: 6, to: 6 })).toBe(true);
  });
});

describe('mergeSightings', () => {
  const axis = lay([]);
  const seen = (pass: 'out' | 'back', fromFt: number, toFt = fromFt) => ({
    axis,
    entryId: `${pass} ${fromFt}`,
    pass,
    span: { fromFt, toFt },
    sigmaFt: 0.5,
    readingSigmaFt: 0.5,
  });
  const merge = (...sightings: ReturnType<typeof seen>[]) =>
    mergeSightings(sightings, 2, () => true).map((group) =>
      group.map(({ pass, span }) => `${pass} ${span.fromFt}`).join(' + '),
    );

  it.each<[string, ReturnType<typeof seen>[], string[]]>([
    ['out with back within 2 ft', [seen('out', 30), seen('back', 31.5)], ['out 30 + back 31.5']],
    ['not farther', [seen('out', 30), seen('back', 32.1)], ['out 30', 'back 32.1']],
    ['never two of one pass', [seen('out', 30), seen('out', 30.5)], ['out 30', 'out 30.5']],
    [
      'nearest first',
      [seen('out', 30), seen('out', 31.8), seen('back', 31.4)],
      ['out 30', 'out 31.8 + back 31.4'],
    ],
    ['stretches by both ends', [seen('out', 43, 52), seen('back', 43, 48)], ['out 43', 'back 43']],
  ])('joins %s', (_, sightings, expected) => {
    expect(merge(...sightings)).toEqual(expected);
  });

  it('joins a stretch with one known end by that end, whichever it is', () => {
    const open = { ...seen('out', 52.4), oneEnded: true };
    const groups = mergeSightings(
      [open, { ...seen('back', 43, 52), oneEnded: false }],
      2,
      () => true,
    );
    expect(groups).toHaveLength(1);
  });

  it('loses nothing, repeats nothing, joins at most one of each pass and never crosses', () => {
    const feet = fc.array(fc.integer({ min: 0, max: 400 }), { maxLength: 12 });
    fc.assert(
      fc.property(feet, feet, (out, back) => {
        const all = [
          ...out.map((at) => seen('out', at / 10)),
          ...back.map((at) => seen('back', at / 10)),
        ];
        const groups = mergeSightings(all, 2, () => true);
        expect(groups.flat()).toHaveLength(all.length);
        expect(new Set(groups.flat()).size).toBe(all.length);
        const pairs = groups.filter((group) => group.length > 1);
        for (const pair of pairs) {
          expect(pair.map(({ pass }) => pass).sort()).toEqual(['back', 'out']);
          expect(endsApartFt(pair[0]!.span, pair[1]!.span)).toBeLessThanOrEqual(2);
        }
        const of = (pass: string) =>
          pairs.map((pair) => pair.find((one) => one.pass === pass)!.span.fromFt);
        const outs = of('out');
        const order = outs.map((_, index) => index).sort((a, b) => outs[a]! - outs[b]!);
        const backs = order.map((index) => of('back')[index]!);
        expect(backs).toEqual([...backs].sort((a, b) => a - b));
      }),
    );
  });
});
