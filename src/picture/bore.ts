import { BufferGeometry, Float32BufferAttribute, Vector3 } from 'three';
import type { RigPath } from '#core/simulator/path';
import { frameAt, pointIn } from './frame';
import { edgesOf, shapeWall } from './wall/wall';

const SIDES = 54;
/** Rings of a plain stretch lie this far apart, feet; near a thing, a joint, a change of pipe. */
const PLAIN_FT = 0.12;
const NEAR_FT = 0.032;
const OPENING_FT = 0.017;
const JOINT_OFFSETS_FT = [-0.1, -0.075, -0.05, -0.035, -0.018, 0, 0.018, 0.035, 0.05, 0.075, 0.1];
/** Rings are fine this far beyond the ends of a thing, feet. */
const FINE_BEYOND_FT = 0.5;
/** A long stretch is drawn with rings this far apart, feet. */
const LONG_FT = 0.062;
/** Far off, where the lamp is weak, rings this far apart do, feet. */
const FAR_FT = 0.2;

/** Places of the rings of a stretch, feet from the rim, closer together where there is more to see. */
export function placeRings(path: RigPath, fromFt: number, toFt: number, isFar = false): number[] {
  const places = new Set<number>();
  const add = (atFt: number) => {
    if (atFt >= fromFt && atFt <= toFt) places.add(Math.round(atFt * 1e4) / 1e4);
  };
  const addAll = (startFt: number, endFt: number, stepFt: number) => {
    for (let atFt = Math.max(startFt, fromFt); atFt <= Math.min(endFt, toFt); atFt += stepFt)
      add(atFt);
  };
  addAll(fromFt, toFt, isFar ? FAR_FT : PLAIN_FT);
  add(toFt);
  for (const pipe of path.pipes) {
    add(pipe.fromFt - 0.0004);
    add(pipe.fromFt + 0.0004);
  }
  if (isFar) {
    for (const jointFt of path.joints) [-0.04, 0, 0.04].forEach((byFt) => add(jointFt + byFt));
    return [...places].sort((a, b) => a - b);
  }
  for (const { fromFt: startFt, toFt: endFt, kind, what } of path.things) {
    if (kind === 'defect' && (what.defect === 'roots' || what.defect === 'crack')) continue;
    const isLong = endFt - startFt > 2;
    const nearFt = isLong ? LONG_FT : kind === 'feature' ? OPENING_FT : NEAR_FT;
    addAll(startFt - FINE_BEYOND_FT, endFt + FINE_BEYOND_FT, nearFt);
    if (kind === 'defect') [-0.0005, 0.012, 0.05].forEach((byFt) => add(startFt + byFt));
  }
  for (const jointFt of path.joints) JOINT_OFFSETS_FT.forEach((byFt) => add(jointFt + byFt));
  for (const { atFt } of edgesOf(path))
    [-0.013, -0.001, 0.001, 0.06, 0.3].forEach((byFt) => add(atFt + byFt));
  return [...places].sort((a, b) => a - b);
}

/** The inside of the pipe over a stretch of the way. */
export function buildBore(
  path: RigPath,
  fromFt: number,
  toFt: number,
  isFar = false,
): BufferGeometry {
  // One ring beyond either end, so that the light does not break where stretches meet.
  const inner = placeRings(path, fromFt, toFt, isFar);
  const rings = [fromFt - PLAIN_FT, ...inner, toFt + PLAIN_FT];
  const shaper = shapeWall(path, fromFt, toFt);
  const count = rings.length * (SIDES + 1);
  const points: Vector3[] = new Array<Vector3>(count);
  const colours = new Float32Array(count * 3);
  const finishes = new Float32Array(count * 2);
  const grains = new Float32Array(count * 2);
  rings.forEach((atFt, ring) => {
    const frame = frameAt(path, atFt);
    for (let side = 0; side <= SIDES; side += 1) {
      const index = ring * (SIDES + 1) + side;
      const clock = (12 * side) / SIDES;
      const wall = shaper.at(atFt, clock % 12);
      points[index] = pointIn(frame, clock, wall.radiusFt, wall.alongFt);
      colours.set([wall.red, wall.green, wall.blue], index * 3);
      finishes.set([wall.gloss, wall.grain], index * 2);
      grains.set([(side / SIDES) * 3, atFt * 2.2], index * 2);
    }
  });
  const at = (ring: number, side: number) => points[ring * (SIDES + 1) + ((side + SIDES) % SIDES)]!;
  const positions = new Float32Array(count * 3);
  const normals = new Float32Array(count * 3);
  for (let ring = 0; ring < rings.length; ring += 1) {
    for (let side = 0; side <= SIDES; side += 1) {
      const index = ring * (SIDES + 1) + side;
      points[index]!.toArray(positions, index * 3);
      const along = at(Math.min(rings.length - 1, ring + 1), side)
        .clone()
        .sub(at(Math.max(0, ring - 1), side));
      const round = at(ring, side + 1)
        .clone()
        .sub(at(ring, side - 1));
      along
        .cross(round)
        .normalize()
        .toArray(normals, index * 3);
    }
  }
  const indices: number[] = [];
  for (let ring = 1; ring < rings.length - 2; ring += 1) {
    for (let side = 0; side < SIDES; side += 1) {
      const a = ring * (SIDES + 1) + side;
      const b = a + SIDES + 1;
      indices.push(a, b, a + 1, a + 1, b, b + 1);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new Float32BufferAttribute(normals, 3));
  geometry.setAttribute('colour', new Float32BufferAttribute(colours, 3));
  geometry.setAttribute('finish', new Float32BufferAttribute(finishes, 2));
  geometry.setAttribute('grainAt', new Float32BufferAttribute(grains, 2));
  geometry.setIndex(indices);
  return geometry;
}
