import { describe, expect, it } from 'vitest';
import type { MethodId } from '../catalogue/method-ids';
import { assessmentOf, type Said } from '../testing/build';
import { planOf } from './plans/plan';
import { siteOf } from './site';

const pipe = (material: string): Said => ({
  kind: 'material',
  side: 'far',
  material,
  diameterIn: 4,
  readingFt: 0,
});
const under = (zone: string): Said => ({ kind: 'zone', side: 'far', zone, readingFt: 0 });
const deep = (ft: number): Said[] =>
  [0, 60].map((readingFt) => ({ kind: 'locate', readingFt, depthIn: ft * 12 }));
const END: Said = { kind: 'end', reason: 'main', confirmedBy: 'sight', readingFt: 60 };
const WALL: Said = { kind: 'feature', feature: 'wall', readingFt: 60 };

/** What a plan of one work, with all that it needs first, is likely to cost, dollars. */
function totalOf(said: readonly Said[], method: MethodId, fromFt: number, toFt: number): number {
  const site = siteOf(assessmentOf(said));
  return planOf(site, 'own', [{ method, lineId: 'main-line', fromFt, toFt }]).cost.likely;
}

const CLAY = [pipe('vitrified-clay'), END];
const LAWN = [...CLAY, under('yard'), ...deep(4)];

describe('totals, against what contractors ask', () => {
  it.each<[string, readonly Said[], MethodId, number, number, number, number]>([
    ['a 4-ft dig in a lawn at 4 ft', LAWN, 'dig', 28, 32, 2500, 5500],
    ['60 ft of 4-in liner', LAWN, 'liner', 0, 60, 7000, 13_000],
    ['the whole 60 ft replaced in an open yard at 4 ft', LAWN, 'dig', 0, 60, 8000, 16_000],
    [
      'a 16-ft pool under a street at 10 ft, dug to where grade is recovered',
      [...CLAY, under('street'), ...deep(10)],
      'dig',
      20,
      40,
      18_000,
      45_000,
    ],
    [
      'a break under a slab bath',
      [pipe('cast-iron'), under('under-house'), WALL, END],
      'slab-break',
      18,
      22,
      5000,
      15_000,
    ],
    ['root cutting', LAWN, 'cut', 0, 45, 250, 500],
    ['jetting', LAWN, 'jet', 0, 45, 400, 1000],
    [
      'a collapse at 14 ft in a lawn',
      [...CLAY, under('yard'), ...deep(14)],
      'dig',
      28,
      32,
      9000,
      25_000,
    ],
    ['a cleanout', LAWN, 'cleanout', 5, 5, 1200, 4000],
    ['descaling 50 ft of iron', [pipe('cast-iron'), END], 'descale', 0, 50, 1700, 2100],
    [
      'the least length of hung pipe',
      [pipe('cast-iron'), under('crawlspace'), WALL, END],
      'replace-exposed',
      10,
      11,
      900,
      2000,
    ],
    [
      'a short new route',
      [pipe('cast-iron'), under('under-house'), WALL, END],
      'reroute',
      10,
      14,
      9000,
      14_000,
    ],
  ])('%s', (_, said, method, fromFt, toFt, least, most) => {
    const total = totalOf(said, method, fromFt, toFt);
    expect(total).toBeGreaterThanOrEqual(least);
    expect(total).toBeLessThanOrEqual(most);
  });

  it('have engineer’s shoring from 10 ft deep, and plain protection from 5', () => {
    const keysAt = (ft: number) => {
      const site = siteOf(assessmentOf([...CLAY, under('yard'), ...deep(ft)]));
      const work = { method: 'dig', lineId: 'main-line', fromFt: 28, toFt: 32 } as const;
      return planOf(site, 'own', [work]).works[0]!.lines.map(({ key }) => key);
    };
    expect(keysAt(4.5)).not.toContain('shoring.foot');
    expect(keysAt(7)).toContain('shoring.foot');
    expect(keysAt(7)).not.toContain('shoring.engineer');
    expect(keysAt(11)).toContain('shoring.engineer');
  });
});
