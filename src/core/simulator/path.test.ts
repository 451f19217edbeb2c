import { describe, expect, it } from 'vitest';
import { seededRandom } from '../base/random';
import { readDemoLaterals } from '../testing/demo-laterals';
import { plainLateral } from '../testing/laterals';
import { courseAt, planAt } from './course';
import { findStops, longestThroughBendIn, openingIn } from './fit';
import { locateHead } from './locator';
import { distanceTo, invertAtIn, layPath, pathPipeAt, stationAt } from './path';

const roots = { atFt: 40, defect: 'roots' as const, clockFrom: 2, clockTo: 4, extentRatio: 0.1 };
const truth = plainLateral({
  defects: [roots, { atFt: 10, toFt: 14, defect: 'scale', extentRatio: 0.2 }],
  features: [{ atFt: 20, feature: 'bend', angleDeg: 45, turns: 'left' }],
  pipes: [
    { toFt: 25, material: 'abs', diameterIn: 3, jointEveryFt: 10 },
    { toFt: 60, material: 'pvc', diameterIn: 4, jointEveryFt: 10 },
  ],
});
const midway = { ...truth, accesses: [{ ...truth.accesses[0]!, atFt: 30 }] };

describe('a way', () => {
  it('counts the riser, then the line the way it faces', () => {
    const down = layPath(midway, 'A', 'downstream');
    const up = layPath(midway, 'A', 'upstream');
    expect([down.lengthFt, up.lengthFt]).toEqual([32, 32]);
    expect(distanceTo(down, 'house', 40)).toBe(12);
    expect(distanceTo(up, 'house', 40)).toBeNull();
    expect(distanceTo(up, 'house', 10)).toBe(22);
    expect(stationAt(up, 22)?.stationFt).toBe(10);
    expect(stationAt(up, 1)).toBeNull();
    expect(pathPipeAt(up, 1)).toMatchObject({ inRiser: true, material: 'pvc' });
    expect([pathPipeAt(up, 4).material, pathPipeAt(up, 10).material]).toEqual(['pvc', 'abs']);
  });
  it('turns ends, clocks and bends round when it faces upstream', () => {
    const up = layPath(
      { ...truth, accesses: [{ ...truth.accesses[0]!, atFt: 60 }] },
      'A',
      'upstream',
    );
    const down = layPath(truth, 'A', 'downstream');
    expect(up.things.map(({ kind, fromFt, toFt }) => [kind, fromFt, toFt])).toEqual([
      ['defect', 22, 22],
      ['feature', 42, 42],
      ['defect', 48, 52],
    ]);
    expect(up.things[0]!.what).toMatchObject({ clockFrom: 8, clockTo: 10 });
    expect(down.things.at(-1)!.what).toMatchObject({ clockFrom: 2, clockTo: 4 });
    expect([up.bends.at(-1)!.turn, down.bends.at(-1)!.turn]).toEqual([1, -1]);
    // Stations 10, 20, 25 (the change), 35, 45, 55, seen from 60 over a riser of 2 ft.
    expect([...up.joints].sort((a, b) => a - b)).toEqual([7, 17, 27, 37, 42, 52]);
  });
  it('refuses what its fitting does not let by', () => {
    const oneWay = {
      ...truth,
      accesses: [{ ...truth.accesses[0]!, ways: ['downstream' as const] }],
    };
    expect(() => layPath(oneWay, 'A', 'upstream')).toThrow(/does not let/);
    expect(() => layPath(truth, 'Z', 'upstream')).toThrow(/no access Z/);
  });
  it('goes on in the line that it joins', () => {
    const court = readDemoLaterals().find(({ id }) => id === 'slab-court')!;
    const way = layPath(court, 'S', 'downstream');
    expect(way.pieces.map(({ line }) => line?.id ?? 'riser')).toEqual(['riser', 'studio', 'house']);
    // Riser 1.2, studio 48 − 2, house 84 − 36.
    expect(way.lengthFt).toBeCloseTo(1.2 + 46 + 48, 9);
  });
  it('falls by its riser, then by its grade', () => {
    const way = layPath(truth, 'A', 'downstream');
    expect(invertAtIn(way, 0)).toBe(24);
    expect(invertAtIn(way, 2)).toBe(0);
    expect(invertAtIn(way, 42)).toBeCloseTo(-10, 9);
    expect(courseAt(way, 1).pitch).toBeLessThan(-1.2);
    expect(courseAt(way, 30).pitch).toBeCloseTo(-0.25 / 12, 3);
    expect(courseAt(way, 40).yaw).toBeCloseTo(-Math.PI / 4, 6);
  });
});

describe('the plan', () => {
  it('turns with the bends', () => {
    expect(planAt(truth, 'house', 20).xFt).toBeCloseTo(20, 1);
    const end = planAt(truth, 'house', 60);
    expect([end.xFt, end.yFt].map((ft) => Math.round(ft * 10) / 10)).toEqual([48.3, -28.3]);
  });
  it('lays a branch so that it ends where it joins', () => {
    const court = readDemoLaterals().find(({ id }) => id === 'slab-court')!;
    const join = planAt(court, 'house', 36);
    const end = planAt(court, 'studio', 48);
    expect(end.xFt).toBeCloseTo(join.xFt, 9);
    expect(end.yFt).toBeCloseTo(join.yFt, 9);
  });
});

describe('a locate', () => {
  const way = layPath(
    plainLateral({ blocked: [{ fromFt: 45, toFt: 50, by: 'a truck' }] }),
    'A',
    'downstream',
  );
  it('gives the depth to the head and two swings, within its noise', () => {
    // At station 20 the invert is 5 in down, the ground 30 in up; the head's middle 0.85 in over the invert.
    const random = seededRandom(3);
    const depths = Array.from({ length: 400 }, () => locateHead(way, 22, 0.85, random).depthIn!);
    const mean = depths.reduce((sum, depthIn) => sum + depthIn, 0) / depths.length;
    expect(mean).toBeCloseTo(34.15, 0);
    expect(Math.max(...depths) - Math.min(...depths)).toBeGreaterThan(4);
    const { swings } = locateHead(way, 22, 0.85, random);
    expect(swings!.map(({ from }) => from)).toEqual(['post', 'corner']);
    // Post at 40, 8: √(20² + 8²) = 21.5 ft.
    expect(swings![0]!.distanceFt).toBeGreaterThan(20.5);
    expect(swings![0]!.distanceFt).toBeLessThan(22.5);
  });
  it('says what blocks it', () => {
    expect(locateHead(way, 49, 0.85, seededRandom(1))).toEqual({ blockedBy: 'a truck' });
    expect(locateHead(way, 1, 0.85, seededRandom(1)).blockedBy).toContain('riser');
  });
});

describe('what fits', () => {
  it('through a bend is the chord that touches the inner wall', () => {
    // Bore 2, radius 2.5, body 1: Rₒ 3.5, Rᵢ + d 2.5: 2·√(12.25 − 6.25) = 4.899.
    expect(longestThroughBendIn(2, 2.5, 1)).toBeCloseTo(4.899, 3);
    expect(longestThroughBendIn(2, 2.5, 2)).toBe(0);
  });
  it('from the roof vent is the small head alone', () => {
    const vent = readDemoLaterals().find(({ id }) => id === 'steeple-view')!;
    const way = layPath(vent, 'V', 'downstream');
    const stop = (headDiameterIn: number) => findStops(way, { headDiameterIn, aid: 'none' })[0]!;
    expect(stop(1.7)).toMatchObject({ because: 'bend', atFt: 22 });
    expect(stop(1)).toMatchObject({ because: 'end' });
  });
  it.each([
    ['offset', { offsetIn: 1 }, 3],
    ['deformation', { extentRatio: 0.25 }, 3],
    ['scale', { extentRatio: 0.75 }, 2],
    ['roots', { extentRatio: 0.5 }, null],
    ['crack', {}, null],
    ['utility-crossing', {}, 0],
  ] as const)('past %s', (defect, size, openIn) => {
    const [thing] = layPath(
      plainLateral({ defects: [{ atFt: 5, defect, ...size }] }),
      'A',
      'downstream',
    ).things;
    expect(openingIn(thing!, 4)).toBe(openIn);
  });
});
