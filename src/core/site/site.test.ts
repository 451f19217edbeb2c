import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AccessPoint } from '../model/job/access-point';
import { DEFAULT_PREFERENCES } from './equipment';
import { preferencesSchema } from './equipment.schema';
import { headFor, rankAccess } from './rank-access';
import { estimateReach, type Leg } from './reach';

const RIG = { ...DEFAULT_PREFERENCES.equipment, rodFt: 1000, rodLbPerFt: 0.2, pushLb: 43 };
const bend = (angleDeg: number): Leg => ({ kind: 'bend', angleDeg, material: 'cast-iron' });
const straight = (lengthFt: number): Leg => ({ kind: 'straight', lengthFt, material: 'cast-iron' });

describe('estimateReach', () => {
  it.each<[string, Leg[], number]>([
    // Iron: μ = 0.5, so a foot of rod costs 0.5 × 0.2 = 0.1 lb; 43 lb less 3 lb of drag last 400 ft.
    ['a straight', [straight(10)], 400],
    // One 90° bend keeps e^(−0.5·π/2) = 0.4559: 43 × 0.4559 = 19.60 lb, less 3 → 166.0 ft.
    ['a bend first', [bend(90), straight(1)], 166],
    // 100 ft cost 10 lb; 33 × 0.4559 = 15.05, less 3 → 120.5 ft more.
    ['a bend after 100 ft', [straight(100), bend(90)], 220.5],
    // Two 45° bends are one 90° bend.
    ['two half bends', [bend(45), bend(45), straight(1)], 166],
  ])('by hand: %s', (_, legs, expected) => {
    expect(estimateReach(legs, RIG, false).reachFt).toBeCloseTo(expected, 0);
  });

  it('says what limits it', () => {
    expect(estimateReach([straight(1)], RIG, false).limitedBy).toBe('friction');
    expect(estimateReach([bend(90), bend(90)], RIG, false).limitedBy).toBe('bends');
    expect(estimateReach([straight(1)], { ...RIG, rodFt: 60 }, false)).toMatchObject({
      reachFt: 60,
      limitedBy: 'rod',
    });
    expect(estimateReach([bend(180), bend(180), bend(180), bend(180)], RIG, false).reachFt).toBe(0);
  });

  it('never grows with another bend, never leaves the rod, and a skid never shortens it', () => {
    const legs = fc.array(
      fc.oneof(
        fc.integer({ min: 1, max: 180 }).map(bend),
        fc.integer({ min: 0, max: 80 }).map(straight),
      ),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(legs, fc.integer({ min: 1, max: 90 }), fc.nat(), (way, angle, at) => {
        const { reachFt } = estimateReach(way, RIG, false);
        const cut = at % (way.length + 1);
        const more = [...way.slice(0, cut), bend(angle), ...way.slice(cut)];
        expect(reachFt).toBeGreaterThanOrEqual(0);
        expect(reachFt).toBeLessThanOrEqual(RIG.rodFt);
        expect(estimateReach(more, RIG, false).reachFt).toBeLessThanOrEqual(reachFt + 0.1);
        expect(estimateReach(way, RIG, true).reachFt).toBeGreaterThanOrEqual(reachFt);
      }),
    );
  });
});

const access = (id: string, changes: Partial<AccessPoint> = {}): AccessPoint => ({
  id,
  kind: 'cleanout',
  diameterIn: 4,
  material: 'abs',
  place: '',
  zone: 'yard',
  usable: true,
  obstacle: null,
  ...changes,
});

describe('rankAccess', () => {
  const order = (points: AccessPoint[]) =>
    rankAccess(points, DEFAULT_PREFERENCES.equipment, new Set()).map(({ access: { id } }) => id);

  it('tries a proper cleanout first, a fallback next, a small branch last, what was refused never first', () => {
    expect(
      order([
        access('branch', { kind: 'branch', diameterIn: 2 }),
        access('vent', { kind: 'roof-vent' }),
        access('stuck', { usable: false, obstacle: 'cap stuck' }),
        access('good'),
        access('two-way', { kind: 'two-way-cleanout' }),
      ]),
    ).toEqual(['two-way', 'good', 'vent', 'branch', 'stuck']);
  });

  it('puts bends and what is in the way behind a clean way in, and gives the reasons', () => {
    const points = [
      access('bent', { bendsDeg: [90, 45] }),
      access('open'),
      access('full', { obstacle: 'a planter on it' }),
    ];
    expect(order(points)).toEqual(['open', 'bent', 'full']);
    const [, bent, full] = rankAccess(points, DEFAULT_PREFERENCES.equipment, new Set(['bent']));
    expect(bent).toMatchObject({ state: 'used' });
    expect(bent!.reasons).toContain('2 bends on the way in, 135° in all');
    expect(full!.reasons).toContain('in the way: a planter on it');
  });

  it('picks the largest head that can be pulled back', () => {
    const { heads } = DEFAULT_PREFERENCES.equipment;
    expect(headFor(access('a'), heads)?.name).toBe('standard head');
    expect(headFor(access('a', { diameterIn: 2 }), heads)?.name).toBe('small head');
    expect(headFor(access('a', { diameterIn: 1.5 }), heads)).toBeNull();
  });
});

it('has preferences that its own schema takes', () => {
  expect(preferencesSchema.validate(DEFAULT_PREFERENCES).error).toBeUndefined();
});
