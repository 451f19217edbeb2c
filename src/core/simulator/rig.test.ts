import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../base/random';
import { DEFAULT_PREFERENCES } from '../site/equipment';
import { plainLateral } from '../testing/laterals';
import { drawSlip, homecomingErrorFt } from './counter';
import { generateLateral } from './generate';
import { createRig, type Drive, type RigSetup } from './rig';
import type { TruthDefect, TruthLine } from './truth';

const { equipment } = DEFAULT_PREFERENCES;
const SETUP: RigSetup = {
  accessId: 'A',
  facing: 'downstream',
  headDiameterIn: 1.7,
  aid: 'none',
  headLevels: true,
  equipment,
};
const PUSH: Drive = { motion: 'push', speedFtPerS: 0.5 };
const PULL: Drive = { motion: 'pull', speedFtPerS: 0.5 };
const rigOf = (
  line: Partial<TruthLine> = {},
  setup: Partial<RigSetup> = {},
  slip = { outRatio: 0, backRatio: 0 },
) => createRig(plainLateral(line), { ...SETUP, ...setup }, 1, slip);
const at = (atFt: number, defect: TruthDefect['defect'], more: Partial<TruthDefect> = {}) => ({
  defects: [{ atFt, defect, ...more }],
});

/** Drives until the head stops going on, an hour at most. */
function driveOut(rig: ReturnType<typeof createRig>, drive = PUSH) {
  for (let step = 0; step < 18_000 && rig.state().warning === null; step += 1)
    rig.advance(0.2, drive);
  return rig.state();
}
const driveHome = (rig: ReturnType<typeof createRig>) => {
  while (rig.state().cableFt > 0) rig.advance(0.2, PULL);
  return rig.state();
};

describe('the cable', () => {
  it('goes slack when pushed and taut when pulled', () => {
    const rig = rigOf();
    while (rig.state().headFt < 50) rig.advance(0.2, PUSH);
    const out = rig.state();
    expect(out.slackFt).toBeGreaterThan(0.02);
    // The first of the pull only takes the slack in.
    rig.advance(out.slackFt / 2 / 0.5, PULL);
    expect(rig.state().headFt).toBeCloseTo(out.headFt, 6);
    rig.advance(4, PULL);
    expect(rig.state().slackFt).toBeCloseTo(0, 9);
  });
  it('comes home with the error that its wheel makes', () => {
    const slips = fc.tuple(
      fc.double({ min: -0.02, max: 0.02, noNaN: true }),
      fc.double({ min: -0.02, max: 0.02, noNaN: true }),
    );
    fc.assert(
      fc.property(
        slips,
        fc.array(
          fc.tuple(fc.constantFrom('push', 'pull', 'hold'), fc.integer({ min: 1, max: 30 })),
          {
            maxLength: 8,
          },
        ),
        ([outRatio, backRatio], acts) => {
          const slip = { outRatio, backRatio };
          const rig = rigOf({}, {}, slip);
          rig.zero(7);
          let pushedFt = 0;
          for (const [motion, seconds] of acts) {
            for (let step = 0; step < seconds; step += 1) {
              const beforeFt = rig.state().cableFt;
              rig.advance(1, { motion: motion, speedFtPerS: 0.8 });
              pushedFt += Math.max(0, rig.state().cableFt - beforeFt);
            }
          }
          const home = driveHome(rig);
          expect(home.headFt).toBe(0);
          expect(home.readingFt - 7).toBeCloseTo(homecomingErrorFt(slip, pushedFt), 6);
        },
      ),
      { numRuns: 50 },
    );
  });
  it('is all out where the rod ends', () => {
    const rig = rigOf({}, { equipment: { ...equipment, rodFt: 20 } });
    const state = driveOut(rig);
    expect(state.cableFt).toBeCloseTo(20, 6);
    expect(state.stoppedBy).toBe('rod');
  });
});

describe('the same seed', () => {
  it('makes the same world, the same slip and the same readings', () => {
    for (const seed of [1, 99, 4711]) {
      expect(generateLateral(seed)).toEqual(generateLateral(seed));
      const drive = () => {
        const rig = createRig(generateLateral(seed), SETUP, seed);
        for (let step = 0; step < 200; step += 1) rig.advance(0.2, PUSH);
        return [rig.state(), rig.locate(), rig.slip];
      };
      expect(drive()).toEqual(drive());
    }
    expect(generateLateral(1)).not.toEqual(generateLateral(2));
    expect(drawSlip(seededRandom(1))).not.toEqual(drawSlip(seededRandom(2)));
  });
  it('draws normal numbers of mean 0 and σ 1', () => {
    const random = seededRandom(5);
    const drawn = Array.from({ length: 20_000 }, random.normal);
    const mean = drawn.reduce((sum, one) => sum + one, 0) / drawn.length;
    const variance = drawn.reduce((sum, one) => sum + (one - mean) ** 2, 0) / drawn.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(variance).toBeCloseTo(1, 1);
  });
});

describe('what stops the head', () => {
  it.each([
    ['a collapse', at(30, 'collapse'), 'obstruction', 32],
    ['a bore that is crushed', at(30, 'deformation', { extentRatio: 0.7 }), 'obstruction', 32],
    ['a root mass', at(30, 'roots', { extentRatio: 0.95 }), 'obstruction', 32],
    ['a utility', at(30, 'utility-crossing'), 'utility', 32],
    ['the end', {}, 'end', 62],
  ] as const)('%s', (_what, line, because, atFt) => {
    const state = driveOut(rigOf(line));
    expect(state.stoppedBy).toBe(because);
    expect(state.headFt).toBeCloseTo(atFt, 1);
  });
  it('is passed by what leaves room: fine roots, a small offset', () => {
    const defects = [
      { atFt: 20, defect: 'roots' as const, extentRatio: 0.5 },
      { atFt: 25, defect: 'offset' as const, offsetIn: 1 },
    ];
    expect(driveOut(rigOf({ defects })).headFt).toBeCloseTo(62, 1);
  });
  it('is never forced: more push moves nothing and is answered with a warning', () => {
    const rig = rigOf(at(30, 'collapse'));
    driveOut(rig);
    const { headFt, cableFt } = rig.state();
    for (let step = 0; step < 50; step += 1) rig.advance(0.5, { ...PUSH, speedFtPerS: 3 });
    expect(rig.state().headFt).toBe(headFt);
    expect(rig.state().cableFt).toBeCloseTo(cableFt, 6);
    expect(rig.state().warning).toContain('Do not force it');
    rig.advance(4, PULL);
    expect(rig.state().warning).toBeNull();
  });
  it('is the friction when the push is lost', () => {
    const state = driveOut(rigOf({}, { equipment: { ...equipment, pushLb: 6 } }));
    expect(state.stoppedBy).toBe('friction');
    expect(state.warning).toContain('push is lost');
    expect(state.headFt).toBeLessThan(60);
  });
  it('says stop at a utility', () => {
    expect(driveOut(rigOf(at(30, 'utility-crossing'))).warning).toContain('do not cut or jet');
  });
});

describe('the lens', () => {
  const sag: TruthLine['invert'] = [
    [0, 0],
    [20, -5],
    [25, -12],
    [30, -8],
    [60, -20],
  ];
  it('goes under in a deep pool and comes up beyond it', () => {
    const rig = rigOf({ invert: sag, murky: [{ fromFt: 24, toFt: 26 }] });
    const seen = new Map<number, string>();
    while (rig.state().warning === null) {
      const { headFt, isUnder, isMurky } = rig.advance(0.2, PUSH);
      seen.set(Math.round(headFt), isUnder ? (isMurky ? 'murky' : 'under') : 'clear');
    }
    expect([seen.get(15), seen.get(27), seen.get(50)]).toEqual(['clear', 'murky', 'clear']);
    expect([...seen.values()]).toContain('under');
  });
  it('is fouled by grease, helped by a wash and by clear water', () => {
    const greased = { atFt: 5, toFt: 12, defect: 'grease' as const, extentRatio: 0.4 };
    const rig = rigOf({ defects: [greased] });
    while (rig.state().headFt < 16) rig.advance(0.2, PUSH);
    const dirty = rig.state().lens.fouledRatio;
    expect(dirty).toBeGreaterThan(0.6);
    expect(rig.wash().lens.fouledRatio).toBeLessThan(0.15);
    const wet = rigOf({ invert: sag, defects: [greased] });
    while (wet.state().headFt < 32) wet.advance(0.2, PUSH);
    expect(wet.state().lens.fouledRatio).toBeLessThan(dirty / 2);
  });
  it('rolls only when the head does not level itself', () => {
    const rolls = (headLevels: boolean) => {
      const rig = rigOf({}, { headLevels });
      for (let step = 0; step < 100; step += 1) rig.advance(0.5, PUSH);
      return rig.state().rollDeg;
    };
    expect(rolls(true)).toBe(0);
    expect(rolls(false)).not.toBe(0);
  });
});

describe('zero and resume', () => {
  it('sets the counter and nothing else', () => {
    const rig = rigOf();
    rig.advance(20, PUSH);
    const { headFt } = rig.state();
    expect(rig.zero().readingFt).toBe(0);
    expect(rig.zero(12.5).readingFt).toBe(12.5);
    expect(rig.state().headFt).toBe(headFt);
  });
  it('puts the head back, but not through what it cannot pass', () => {
    expect(rigOf().resume(30, 28.4)).toMatchObject({ headFt: 30, cableFt: 30, readingFt: 28.4 });
    expect(rigOf(at(20, 'collapse')).resume(50, 50).headFt).toBeCloseTo(22, 6);
  });
});
