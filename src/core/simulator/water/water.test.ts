import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainLateral } from '../../testing/laterals';
import type { LateralTruth, TruthLine } from '../truth';
import { CELL_FT, layBed } from './bed';
import { depthOfAreaFt, flowCfs, wetAreaSqFt } from './manning';
import { createWater } from './water';

const TUB = { name: 'tub', lineId: 'house', atFt: 1, flowGpm: 5 };

/** A 60 ft line with a fall of ¼ in a foot and one sag of two inches below its downstream end. */
const BELLY: TruthLine['invert'] = [
  [0, 0],
  [20, -5],
  [25, -9],
  [30, -7],
  [60, -14.5],
];

/** Profiles that go up and down, always ending lower than they began. */
const anyInvert = fc
  .array(fc.tuple(fc.integer({ min: 2, max: 10 }), fc.integer({ min: -30, max: 25 })), {
    minLength: 3,
    maxLength: 8,
  })
  .map((steps) => {
    let [atFt, levelIn] = [0, 0];
    const points: [number, number][] = [[0, 0]];
    for (const [overFt, riseTenths] of steps) {
      atFt += overFt;
      levelIn += riseTenths / 10;
      points.push([atFt, levelIn]);
    }
    points.push([atFt + 6, Math.min(...points.map(([, level]) => level)) - 2]);
    return points;
  });

const lateralOf = (invert: readonly (readonly [number, number])[]): LateralTruth =>
  plainLateral({ lengthFt: invert.at(-1)![0], invert });

/** Runs until nothing moves; fails when that takes more than two hours. */
function letSettle(water: ReturnType<typeof createWater>) {
  for (let minutes = 0; minutes < 120 && !water.isStill(); minutes += 1) water.step(60, []);
  expect(water.isStill()).toBe(true);
}

describe('flow', () => {
  it('of a full 4 in pipe at ¼ in a foot agrees with a sum by hand', () => {
    // A = 0.08727 sq ft, R = 1/12 ft, R^⅔ = 0.19079, S = 0.020833, √S = 0.14434, n = 0.010:
    // 1.486/0.010 × 0.08727 × 0.19079 × 0.14434 = 0.3571 cfs.
    expect(flowCfs(4 / 12, 4 / 12, 0.25 / 12, 'pvc')).toBeCloseTo(0.3571, 3);
  });
  it('half full carries half of full bore', () => {
    const full = flowCfs(0.5, 0.5, 0.02, 'vitrified-clay');
    expect(flowCfs(0.25, 0.5, 0.02, 'vitrified-clay') / full).toBeCloseTo(0.5, 3);
  });
  it('finds the depth of an area again', () => {
    for (const depthFt of [0.02, 0.1, 0.2, 0.3]) {
      expect(depthOfAreaFt(wetAreaSqFt(depthFt, 1 / 3), 1 / 3)).toBeCloseTo(depthFt, 4);
    }
  });
});

describe('still water', () => {
  it('fills what the invert holds: level, up to the sill, no further', () => {
    const water = createWater(lateralOf(BELLY));
    // The sill stands at −7 in, give or take what half a cell of slope makes.
    for (const atFt of [24, 25, 26, 28]) {
      expect(water.poolLevelIn('house', atFt)).toBeCloseTo(-7.05, 0.5);
    }
    expect(water.depthIn('house', 25)).toBeGreaterThan(1.7);
    expect(water.depthIn('house', 25)).toBeLessThanOrEqual(2.05);
    expect(water.depthIn('house', 10)).toBe(0);
    expect(water.depthIn('house', 45)).toBe(0);
  });
  it('stands behind a lip by the height of the lip', () => {
    const pipes = [
      { toFt: 30, material: 'pvc' as const, diameterIn: 4 },
      { toFt: 60, material: 'pvc' as const, diameterIn: 4, lipIn: 1 },
    ];
    const water = createWater(plainLateral({ pipes }));
    expect(water.depthIn('house', 29.75)).toBeGreaterThan(0.8);
    expect(water.depthIn('house', 29.75)).toBeLessThanOrEqual(1.1);
    // At ¼ in a foot an inch of lip holds water back over four feet.
    expect(water.depthIn('house', 25)).toBe(0);
  });
  it('stands as high as the tank that the line runs into', () => {
    const outlet = { kind: 'tank' as const, diameterIn: 48, levelIn: 6 };
    const water = createWater(plainLateral({ outlet }));
    expect(water.depthIn('house', 59.7)).toBeCloseTo(6, 0);
    expect(water.depthIn('house', 20)).toBe(0);
  });
  it('is level in each pool and never above the sill that holds it', () => {
    fc.assert(
      fc.property(anyInvert, fc.double({ min: 0, max: 60, noNaN: true }), (invert, seconds) => {
        const truth = lateralOf(invert);
        const water = createWater(truth, 0);
        if (seconds > 0) water.step(seconds, [{ ...TUB, flowGpm: 12 }]);
        letSettle(water);
        const { floorFt, cells } = layBed(truth.lines[0]!);
        for (let cell = 0; cell < cells; cell += 1) {
          const atFt = (cell + 0.5) * CELL_FT;
          const levelIn = water.poolLevelIn('house', atFt);
          if (levelIn === null) continue;
          const sillIn = 12 * Math.max(...floorFt.subarray(cell));
          expect(levelIn).toBeLessThanOrEqual(sillIn + 1e-6);
          // Its neighbour, where it is wet and the floor between does not part them, stands as high.
          const nextIn = water.poolLevelIn('house', atFt + CELL_FT);
          if (cell === cells - 1 || nextIn === null) continue;
          const partedIn = 12 * Math.max(floorFt[cell]!, floorFt[cell + 1]!);
          if (Math.min(levelIn, nextIn) > partedIn + 0.02) expect(nextIn).toBeCloseTo(levelIn, 3);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('moving water', () => {
  it('is neither made nor lost, whatever runs for however long', () => {
    fc.assert(
      fc.property(
        anyInvert,
        fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 0, max: 15 })), {
          minLength: 1,
          maxLength: 5,
        }),
        (invert, spells) => {
          const water = createWater(lateralOf(invert));
          const startCuFt = water.heldCuFt();
          for (const [seconds, flowGpm] of spells) {
            water.step(seconds, flowGpm > 0 ? [{ ...TUB, flowGpm }] : []);
          }
          const balance = startCuFt + water.cameCuFt() - water.goneCuFt();
          expect(water.heldCuFt()).toBeCloseTo(balance, 9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('keeps its volume when the flow has stopped and nothing can leave', () => {
    const truth = plainLateral({ outlet: { kind: 'tank', diameterIn: 48, levelIn: 40 } });
    const water = createWater(truth, 0);
    water.step(60, [TUB]);
    const heldCuFt = water.heldCuFt();
    water.step(600, []);
    expect(water.heldCuFt()).toBeCloseTo(heldCuFt, 12);
    expect(heldCuFt).toBeCloseTo(5 * 0.133681, 9);
  });
  it('settles at the depth that Manning gives for the flow', () => {
    const water = createWater(plainLateral());
    water.step(180, [TUB]);
    const depthFt = water.depthIn('house', 40) / 12;
    const gpm = (flowCfs(depthFt, 4 / 12, 0.25 / 12, 'pvc') / 0.133681) * 60;
    expect(gpm).toBeCloseTo(5, 0);
  });
  it('rises in a pool while it runs, more for more flow, and drains back to the sill', () => {
    const water = createWater(lateralOf(BELLY));
    const stillIn = water.depthIn('house', 25);
    water.step(120, [TUB]);
    const runningIn = water.depthIn('house', 25);
    expect(runningIn).toBeGreaterThan(stillIn + 0.2);
    const more = createWater(lateralOf(BELLY));
    more.step(120, [{ ...TUB, flowGpm: 12 }]);
    expect(more.depthIn('house', 25)).toBeGreaterThan(runningIn);
    letSettle(water);
    expect(water.depthIn('house', 25)).toBeCloseTo(stillIn, 3);
  });
  it('rises higher behind a blockage than in a free pipe', () => {
    const roots = [{ atFt: 40, defect: 'roots' as const, extentRatio: 0.85 }];
    const [free, blocked] = [[], roots].map((defects) => {
      const water = createWater(plainLateral({ defects }));
      water.step(240, [{ ...TUB, flowGpm: 10 }]);
      return water.depthIn('house', 39.6);
    });
    expect(blocked).toBeGreaterThan(free! + 1);
  });
  it('runs from a branch into the line that it joins', () => {
    const base = plainLateral();
    const branch = {
      ...base.lines[0]!,
      id: 'shed',
      lengthFt: 20,
      joins: { lineId: 'house', atFt: 30 },
      outlet: { kind: 'join' as const, diameterIn: 4, levelIn: 0 },
      pipes: [{ toFt: 20, material: 'pvc' as const, diameterIn: 3 }],
    };
    const water = createWater({ ...base, lines: [...base.lines, branch] });
    water.step(120, [{ ...TUB, lineId: 'shed' }]);
    expect(water.depthIn('house', 20)).toBe(0);
    expect(water.depthIn('house', 45)).toBeGreaterThan(0.3);
  });
});
