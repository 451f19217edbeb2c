import { PerspectiveCamera, type Vector3 } from 'three';
import { seededRandom } from '#core/base/random';
import type { StillMeasure, StillMeasureKind, Touch } from '#core/model/log/still-measure';
import { layPath, pathPipeAt, type RigPath } from '#core/simulator/path';
import { measureStill } from '#core/still/measure';
import { TOUCH_SIGMA } from '#core/still/pipe-fit';
import { readDemoLaterals } from '#core/testing/demo-laterals';
import { aimCamera, FIELD_DEG } from '../src/picture/aim';
import { frameAt, pointIn } from '../src/picture/frame';
import type { Row } from './row';

const PICTURES = 200;
const ASPECT = 1.6;
/** The lens of a common head over the invert, feet. */
const LENS_FT = 0.09;
/** A joint is touched when it lies so far ahead of the lens, feet. */
const NEAREST_FT = 0.3;
const FARTHEST_FT = 0.9;
/** The pipe goes dark so far beyond it, feet. */
const DARK_FT = 6;

type Scene = {
  readonly path: RigPath;
  readonly headFt: number;
  readonly jointFt: number;
  readonly rollDeg: number;
};

/** Places of the demo laterals with a joint ahead, in straight pipe. */
function scenesOf(random: ReturnType<typeof seededRandom>): Scene[] {
  const paths = readDemoLaterals(new URL(`file://${process.cwd()}/demo/laterals/`)).flatMap(
    (truth) =>
      truth.accesses.flatMap(({ id, ways }) => ways.map((facing) => layPath(truth, id, facing))),
  );
  const scenes: Scene[] = [];
  while (scenes.length < PICTURES) {
    const path = random.oneOf(paths);
    if (path.joints.length === 0) continue;
    const jointFt = random.oneOf(path.joints);
    const headFt = jointFt - random.between(NEAREST_FT, FARTHEST_FT);
    const isBent = path.bends.some(({ atFt }) => Math.abs(atFt - jointFt) < 2);
    if (headFt < 0.5 || isBent || pathPipeAt(path, headFt).inRiser) continue;
    scenes.push({ path, headFt, jointFt, rollDeg: random.normal() * 1.5 });
  }
  return scenes;
}

/** Where a place on or within the joint lies on the picture, as the rig's own camera shows it. */
function showIn({ path, headFt, jointFt, rollDeg }: Scene) {
  const camera = new PerspectiveCamera(FIELD_DEG, ASPECT, 0.015, 24);
  aimCamera(camera, path, { headFt, lensFt: LENS_FT, rollDeg });
  camera.updateMatrixWorld(true);
  const frame = frameAt(path, jointFt);
  const touch = (place: Vector3): Touch => {
    const { x, y } = place.project(camera);
    return [(x + 1) / 2, (1 - y) / 2];
  };
  return {
    at: (clock: number, out: number) => touch(pointIn(frame, clock, frame.radiusFt * out)),
    // As far as the lamp reaches.
    vanish: touch(pointIn(frame, 12, 0, DARK_FT)),
  };
}

const isOn = ([x, y]: Touch) => x > 0 && x < 1 && y > 0 && y < 1;

/** Measures on pictures of the rig whose truth is known, touched where a person would, with a hand's noise. */
export function benchStills(hasVanish: boolean): Row[] {
  const random = seededRandom(23);
  const shake = ([x, y]: Touch): Touch => [
    x + (random.normal() * TOUCH_SIGMA) / 2 / ASPECT,
    y + (random.normal() * TOUCH_SIGMA) / 2,
  ];
  const fills: number[] = [];
  const shares: number[] = [];
  const clocks: number[] = [];
  const sigmas: number[] = [];
  for (const scene of scenesOf(random)) {
    const { at, vanish } = showIn(scene);
    const edge = [1, 2.5, 4, 5, 7, 8, 9.5, 11].map((clock) => at(clock, 1)).filter(isOn);
    const measure = (what: StillMeasureKind, on: readonly Touch[]) => {
      const made: StillMeasure = {
        photoId: 'P',
        what,
        aspect: ASPECT,
        pipe: edge.map(shake),
        on: on.map(shake),
        ...(hasVanish ? { vanish: shake(vanish) } : {}),
      };
      return edge.length < 3 || !on.every(isOn) ? null : measureStill(made, 4);
    };
    const fill = random.between(0.12, 0.8);
    const half = (Math.acos(2 * fill - 1) * 6) / Math.PI;
    const water = measure('fill', [at(12 - half, 1), at(half, 1)]);
    if (water && 'ratio' in water) {
      fills.push(Math.abs(water.ratio - fill));
      sigmas.push(Math.abs(water.ratio - fill) / water.sigma);
    }
    // What fills the pipe from one side: an arc of the wall, and the straight line across it.
    const [from, hours] = [random.between(0, 12), random.between(2, 6)];
    const steps = Math.ceil(hours / 1.5);
    const outline = Array.from({ length: steps + 1 }, (_, i) => at(from + (hours * i) / steps, 1));
    const angle = (hours * Math.PI) / 6;
    const share = measure('share', outline);
    if (share && 'ratio' in share)
      shares.push(Math.abs(share.ratio - (angle - Math.sin(angle)) / 2 / Math.PI));
    const clock = measure('clock', [at(from, 1), at(from + hours, 1)]);
    if (clock && 'clockFrom' in clock) {
      const off = Math.abs(((((clock.clockFrom - from) % 12) + 18) % 12) - 6);
      clocks.push(off);
    }
  }
  const within = (errors: readonly number[], most: number) =>
    `${((100 * errors.filter((error) => error <= most + 1e-9).length) / errors.length).toFixed(0)}% of ${errors.length}`;
  const how = hasVanish ? '' : 'the end of the pipe not touched: ';
  return [
    { what: `${how}fill within .05`, aim: '90%', got: within(fills, 0.05) },
    { what: `${how}fill within its own 2σ`, aim: '95%', got: within(sigmas, 2) },
    { what: `${how}share of the area within .1`, aim: '90%', got: within(shares, 0.1) },
    { what: `${how}clock within half an hour`, aim: '95%', got: within(clocks, 0.5) },
  ];
}
