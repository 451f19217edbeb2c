import type { BufferGeometry } from 'three';
import { describe, expect, it } from 'vitest';
import { type DefectKind, DEFECTS } from '#core/catalogue/defects/index';
import { layPath } from '#core/simulator/path';
import type { TruthDefect } from '#core/simulator/truth';
import { readDemoLaterals } from '#core/testing/demo-laterals';
import { plainLateral } from '#core/testing/laterals';
import { buildBore } from './bore';
import { drawEnd } from './ends';
import { frameAt, pointIn } from './frame';
import { createGlass } from './glass';
import { createSurface } from './surface';
import { drawThings } from './things';
import { shapeWall } from './wall/wall';

/** Kinds that are told by the water alone. */
const BY_WATER: readonly DefectKind[] = ['standing-water'];
const DRAWN = DEFECTS.filter((defect) => !BY_WATER.includes(defect));

const pathWith = (defects: readonly TruthDefect[]) =>
  layPath(plainLateral({ defects }), 'A', 'downstream');

/** What can be seen of one defect: the wall round it, and the shape of what stands in the bore. */
function look(defect: DefectKind): number[] {
  const path = pathWith([{ atFt: 20, defect, extentRatio: 0.2 }]);
  const shaper = shapeWall(path, 20, 24);
  const seen: number[] = [];
  for (let atFt = 21; atFt < 24; atFt += 0.07)
    for (let clock = 0; clock < 12; clock += 0.5) {
      const { radiusFt, boreFt, red, green, blue } = shaper.at(atFt, clock);
      seen.push(radiusFt / boreFt, red, green, blue);
    }
  return [...seen, ...sizeUp(drawThings(path, 18, 26).geometry())];
}

/** How much there is of what stands in the bore, how far it reaches, and its mean colour. */
function sizeUp(things: BufferGeometry | null): number[] {
  if (!things) return [0, 0, 0, 0, 0, 0, 0];
  things.computeBoundingBox();
  const { min, max } = things.boundingBox!;
  const colours = things.getAttribute('colour');
  const mean = (part: number) => {
    let sum = 0;
    for (let index = 0; index < colours.count; index += 1) sum += colours.getComponent(index, part);
    return (4 * sum) / colours.count;
  };
  const reach = [max.x - min.x, max.y - min.y, max.z - min.z].map((feet) => 6 * feet);
  return [2 * Math.log(colours.count), ...reach, mean(0), mean(1), mean(2)];
}

const apart = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, index) => sum + Math.abs(value - b[index]!), 0);

function expectFinite(geometry: BufferGeometry | null): void {
  expect(geometry).not.toBeNull();
  for (const name of ['position', 'normal', 'colour', 'finish']) {
    const { array } = geometry!.getAttribute(name);
    expect(array.every((value) => Number.isFinite(value))).toBe(true);
  }
  const count = geometry!.getAttribute('position').count;
  expect(Math.max(...geometry!.getIndex()!.array)).toBeLessThan(count);
}

describe('every defect of the log', () => {
  const clean = look('standing-water');
  const looks = new Map(DRAWN.map((defect) => [defect, look(defect)]));
  it.each(DRAWN)('%s can be told from clean pipe', (defect) => {
    expect(apart(looks.get(defect)!, clean)).toBeGreaterThan(3);
  });
  it('looks different from every other', () => {
    const alike = DRAWN.flatMap((one, index) =>
      DRAWN.slice(index + 1)
        .filter((other) => apart(looks.get(one)!, looks.get(other)!) < 2)
        .map((other) => `${one} ~ ${other}`),
    );
    expect(alike).toEqual([]);
  });
  it('more of it shows more', () => {
    for (const defect of ['roots', 'debris', 'scale', 'grease'] as const) {
      const amount = (extentRatio: number) => {
        const path = pathWith([{ atFt: 20, defect, extentRatio }]);
        const shaper = shapeWall(path, 20, 24);
        const strands = drawThings(path, 18, 26).geometry()?.getAttribute('position').count ?? 0;
        const narrowed = [3, 6, 9].reduce(
          (sum, clock) => sum + 1 - shaper.at(22, clock).radiusFt / shaper.at(22, clock).boreFt,
          0,
        );
        return strands / 1e4 + narrowed;
      };
      expect(amount(0.5)).toBeGreaterThan(amount(0.05));
    }
  });
});

describe('geometry', () => {
  it.each(readDemoLaterals().map((truth) => [truth.id, truth] as const))(
    'of %s is whole from rim to end',
    (_id, truth) => {
      for (const access of truth.accesses)
        for (const facing of access.ways) {
          const path = layPath(truth, access.id, facing);
          for (let fromFt = 0; fromFt < path.lengthFt; fromFt += 12) {
            const toFt = Math.min(path.lengthFt, fromFt + 3);
            expectFinite(buildBore(path, fromFt, toFt));
            const things = drawThings(path, fromFt, toFt).geometry();
            if (things) expectFinite(things);
          }
          expectFinite(drawEnd(path).geometry());
        }
    },
  );
  it('is coarser where the lamp is weak', () => {
    const path = pathWith([{ atFt: 20, defect: 'scale', extentRatio: 0.3 }]);
    const count = (isFar: boolean) => buildBore(path, 20, 23, isFar).getAttribute('position').count;
    expect(count(true)).toBeLessThan(count(false) / 2);
  });
});

describe('a frame', () => {
  const path = layPath(
    plainLateral({ features: [{ atFt: 20, feature: 'bend', angleDeg: 90, turns: 'right' }] }),
    'A',
    'downstream',
  );
  it.each([0.5, 1.9, 2.3, 10, 22, 30])(
    'at %s ft is square, level across, and a bore wide',
    (atFt) => {
      const { centre, forward, right, up, radiusFt } = frameAt(path, atFt);
      for (const one of [forward, right, up]) expect(one.length()).toBeCloseTo(1, 9);
      expect(forward.dot(right)).toBeCloseTo(0, 9);
      expect(forward.dot(up)).toBeCloseTo(0, 9);
      expect(right.y).toBe(0);
      expect(radiusFt).toBeCloseTo(2 / 12, 9);
      const crown = pointIn(frameAt(path, atFt), 12, radiusFt);
      expect(crown.distanceTo(centre)).toBeCloseTo(radiusFt, 9);
    },
  );
  it('has its crown above and three o’clock to the right', () => {
    const frame = frameAt(path, 10);
    expect(pointIn(frame, 12, 1).y).toBeGreaterThan(frame.centre.y + 0.9);
    expect(pointIn(frame, 6, 1).y).toBeLessThan(frame.centre.y - 0.9);
    // Going along x with y up, right is z.
    expect(pointIn(frame, 3, 1).z).toBeCloseTo(frame.centre.z + 1, 3);
  });
  it('follows a bend to the right', () => {
    expect(frameAt(path, 40).centre.z).toBeGreaterThan(frameAt(path, 22).centre.z + 15);
  });
});

describe('the surface of the water', () => {
  const path = pathWith([]);
  const still = { timeS: 0, isMurky: false };
  it('is not drawn in a dry pipe, nor in one that is full to the crown', () => {
    const surface = createSurface();
    surface.lay(path, 20, () => 0, still);
    expect(surface.mesh.visible).toBe(false);
    surface.lay(path, 20, () => 4.5, still);
    expect(surface.mesh.visible).toBe(false);
  });
  it('is as wide as the chord at its depth', () => {
    const surface = createSurface();
    surface.lay(path, 20, () => 1, still);
    expect(surface.mesh.visible).toBe(true);
    const at = surface.mesh.geometry.getAttribute('position');
    // An inch deep in a 4 in bore: the chord is 2·√(2² − 1²) = 3.464 in, drawn 2% wider.
    const wideFt = Math.hypot(
      at.getX(4) - at.getX(0),
      at.getY(4) - at.getY(0),
      at.getZ(4) - at.getZ(0),
    );
    expect(wideFt * 12).toBeCloseTo(3.464 * 1.02, 2);
  });
});

describe('the glass', () => {
  it('is drawn only when something is on it', () => {
    const glass = createGlass();
    expect(glass.show({ fouledRatio: 0, dropsRatio: 0 })).toBe(false);
    expect(glass.show({ fouledRatio: 0.4, dropsRatio: 0 })).toBe(true);
    expect(glass.show({ fouledRatio: 0, dropsRatio: 0.6 })).toBe(true);
  });
});
