import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_PREFERENCES } from '../site/equipment';
import { plainLateral } from '../testing/laterals';
import { layPath } from './path';
import { frictionAt, loadRod, reachByFrictionFt } from './rod';
import type { TruthDefect, TruthLine } from './truth';

const { equipment } = DEFAULT_PREFERENCES;
const BARE = { headDiameterIn: 1.7, aid: 'none' as const };
const dry = () => 0;
const bare = { dropFt: 0.001, bendsDeg: [] };

/** A way with no riser to speak of, so that sums can be done by hand. */
function wayOf(line: Partial<TruthLine>, access = {}) {
  const truth = plainLateral({ lengthFt: 400, ...line });
  return layPath(
    { ...truth, accesses: [{ ...truth.accesses[0]!, ...bare, ...access }] },
    'A',
    'downstream',
  );
}
const pipesOf = (material: 'pvc' | 'concrete' | 'cast-iron' | 'hdpe') => [
  { toFt: 400, material, diameterIn: 4 },
];

describe('the push that the rod takes', () => {
  it('on a straight is the drag of the head and friction times weight', () => {
    // 3 lb + 0.25 × 0.15 lb/ft × 100 ft = 6.75 lb.
    const way = wayOf({ pipes: pipesOf('pvc') });
    expect(loadRod(way, 100, BARE, equipment, dry).needLb).toBeCloseTo(6.75, 2);
    // 3 + 0.5 × 0.15 × 100 = 10.5 lb in concrete; 1.2 for the head on a skid.
    const rough = wayOf({ pipes: pipesOf('concrete') });
    expect(loadRod(rough, 100, BARE, equipment, dry).needLb).toBeCloseTo(10.5, 2);
    const skid = { ...BARE, aid: 'skid' as const };
    expect(loadRod(rough, 100, skid, equipment, dry).needLb).toBeCloseTo(8.7, 2);
  });
  it('grows at a bend by e^(μθ)', () => {
    const bend = { atFt: 50, feature: 'bend' as const, angleDeg: 90, turns: 'left' };
    const way = wayOf({ pipes: pipesOf('pvc'), features: [bend] });
    // (3 + 0.25·0.15·50) × e^(0.25·π/2) + 0.25·0.15·50 = 4.875 × 1.4810 + 1.875 = 9.0949 lb.
    expect(loadRod(way, 100, BARE, equipment, dry).needLb).toBeCloseTo(9.095, 1);
  });
  it('leaves slack by r²P/4EI', () => {
    // 6 in bore: r = 2.75 in; P rises from 3 to 6.75 lb over 100 ft, mean 4.875:
    // 100 × 7.5625 × 4.875 / 24000 = 0.1536 ft.
    const pipes = [{ toFt: 400, material: 'pvc' as const, diameterIn: 6 }];
    const { slackFt } = loadRod(wayOf({ pipes }), 100, BARE, equipment, dry);
    expect(slackFt).toBeCloseTo(0.1536, 2);
  });
  it('is helped by the weight of the rod that hangs in a drop', () => {
    const steep = wayOf({}, { dropFt: 20, bendsDeg: [90] });
    const flat = wayOf({}, { bendsDeg: [90] });
    expect(loadRod(steep, 70, BARE, equipment, dry).needLb).toBeLessThan(
      loadRod(flat, 50, BARE, equipment, dry).needLb,
    );
  });
});

describe('reach', () => {
  const limited = { ...equipment, pushLb: 14, rodFt: 400 };
  const reach = (line: Partial<TruthLine>) => reachByFrictionFt(wayOf(line), BARE, limited);
  const share = fc.double({ min: 0, max: 0.6, noNaN: true });
  const place = fc.integer({ min: 5, max: 200 });

  it('agrees with the sum by hand on a straight', () => {
    // (14 − 3) / (0.5 × 0.15) = 146.7 ft in concrete.
    expect(reach({ pipes: pipesOf('concrete') })).toBeCloseTo(146.7, 0);
  });
  it('is never longer for one bend more', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(place, fc.constantFrom(22.5, 45, 90)), { maxLength: 5 }),
        place,
        fc.constantFrom(11.25, 45, 90),
        (bends, atFt, angleDeg) => {
          const features = (list: readonly (readonly [number, number])[]) =>
            list.map(([at, angle]) => ({ atFt: at, feature: 'bend' as const, angleDeg: angle }));
          const without = reach({ features: features(bends) });
          const withOne = reach({ features: features([...bends, [atFt, angleDeg]]) });
          expect(withOne).toBeLessThanOrEqual(without + 0.1);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('is never longer for more grease, more scale or a worn wall', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('grease' as const, 'scale' as const, 'debris' as const, 'roots' as const),
        place,
        fc.integer({ min: 1, max: 60 }),
        share,
        share,
        (defect, atFt, overFt, a, b) => {
          const [less, more] = [Math.min(a, b), Math.max(a, b)];
          const soiled = (extentRatio: number): TruthDefect[] => [
            { atFt, toFt: atFt + overFt, defect, extentRatio },
          ];
          const clean = reach({});
          expect(reach({ defects: soiled(less) })).toBeLessThanOrEqual(clean + 0.1);
          expect(reach({ defects: soiled(more) })).toBeLessThanOrEqual(
            reach({ defects: soiled(less) }) + 0.1,
          );
        },
      ),
      { numRuns: 60 },
    );
    const worn = [{ atFt: 10, toFt: 60, defect: 'wall-loss' as const }];
    expect(reach({ defects: worn })).toBeLessThan(reach({}));
  });
  it('is never longer in a rougher material', () => {
    const [smooth, middle, rough] = (['hdpe', 'pvc', 'cast-iron'] as const).map((material) =>
      reach({ pipes: pipesOf(material) }),
    );
    expect(smooth).toBeGreaterThanOrEqual(middle!);
    expect(middle).toBeGreaterThan(rough!);
  });
  it('goes further with water to slide on', () => {
    const way = wayOf({ pipes: pipesOf('concrete') });
    expect(reachByFrictionFt(way, BARE, limited, () => 2)).toBeGreaterThan(
      reachByFrictionFt(way, BARE, limited),
    );
  });
  it('adds what lies on the wall to its friction', () => {
    const defects = [{ atFt: 10, toFt: 20, defect: 'grease' as const, extentRatio: 0.2 }];
    const way = wayOf({ defects });
    expect(frictionAt(way, 15)).toBeCloseTo(0.25 * (1 + 1.5 * 0.2), 6);
    expect(frictionAt(way, 30)).toBe(0.25);
  });
});
