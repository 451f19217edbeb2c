import { seededRandom } from '#core/base/random';
import { pathPipeAt } from '#core/simulator/path';
import { createRig, lensHeightIn, type RigSetup } from '#core/simulator/rig';
import type { LateralTruth } from '#core/simulator/truth';
import { measureStill } from '#core/still/measure';
import { FRAME_HEIGHT, FRAME_WIDTH, type Notice, noticesOf, readFrame } from '#core/vision/frames';
import { guessTouches } from '#core/vision/guess-touches';
import { createPicture } from '../src/picture/picture';

/** The machine looks at a picture so many points high, as in *Look again*. */
const HIGH = 200;
const WIDE = 320;
/** A frame is taken this often, as when a recording is looked through. */
const EVERY_S = 0.25;
const SPEED_FT_S = 0.5;
/** The shallowest water that is measured, share of the diameter. */
const LEAST_FILL = 0.08;

/** One guess: the depth that was laid there ÷ the bore, and what the machine made of it; `null` where it saw no edge. */
export type Guess = {
  readonly truth: number;
  readonly hasEdge: boolean;
  readonly fill: number | null;
};
/** What a recording of a lateral shows: what the machine pointed out, and when what was passed, seconds. */
export type Seen = {
  readonly guesses: readonly Guess[];
  readonly notices: readonly Notice[];
  readonly lastsS: number;
  /** Moments at which the pipe changes, standing water begins or ends, and anything else is passed. */
  readonly pipeS: readonly number[];
  readonly waterS: readonly number[];
  readonly thingsS: readonly number[];
};

/** What the machine makes of one picture, by itself. */
function guessOf(rgba: Uint8ClampedArray<ArrayBuffer>): Omit<Guess, 'truth'> {
  const found = guessTouches({ rgba, width: WIDE, height: HIGH });
  if (!found) return { hasEdge: false, fill: null };
  if (found.water.length < 2) return { hasEdge: true, fill: null };
  const measured = measureStill(
    {
      photoId: 'P',
      what: 'fill',
      aspect: WIDE / HIGH,
      pipe: found.pipe,
      on: found.water,
      ...(found.vanish[0] ? { vanish: found.vanish[0] } : {}),
    },
    null,
  );
  return { hasEdge: true, fill: 'ratio' in measured ? measured.ratio : null };
}

/** Pushes a camera through a lateral and lets the machine look at what it shows. */
async function seeThrough(truth: LateralTruth, setup: RigSetup): Promise<Seen> {
  const rig = createRig(truth, setup, 1);
  const { path } = rig;
  const random = seededRandom(truth.id.length);
  const canvas = document.createElement('canvas');
  document.body.append(canvas);
  const drawer = createPicture(canvas, path);
  if (!drawer) throw new Error('No WebGL');
  drawer.resize(WIDE, HIGH);
  const small = document.createElement('canvas');
  const context = small.getContext('2d', { willReadFrequently: true })!;
  const pixels = (width: number, height: number) => {
    small.width = width;
    small.height = height;
    context.drawImage(canvas, 0, 0, width, height);
    return context.getImageData(0, 0, width, height).data;
  };
  const frames = [];
  const guesses: Guess[] = [];
  const atS = new Map<number, number>();
  const fillAt = (ft: number) => {
    const { diameterIn, inRiser } = pathPipeAt(path, ft);
    return inRiser ? 0 : rig.depthIn(ft) / diameterIn;
  };
  const waterS: number[] = [];
  let wasWet = false;
  for (let step = 0; rig.state().warning === null && step < 4000; step += 1) {
    const state = rig.advance(EVERY_S, { motion: 'push', speedFtPerS: SPEED_FT_S });
    drawer.draw({
      ...state,
      lensFt: lensHeightIn(setup) / 12,
      timeS: state.elapsedS,
      depthIn: rig.depthIn,
    });
    frames.push(readFrame(pixels(FRAME_WIDTH, FRAME_HEIGHT), state.elapsedS * 1000));
    atS.set(state.headFt, state.elapsedS);
    const isWet = fillAt(state.headFt) > 0.05;
    if (isWet !== wasWet) waterS.push(state.elapsedS);
    wasWet = isWet;
    const pipe = pathPipeAt(path, state.headFt);
    if (step % 8 === 4 && !state.isUnder && !pipe.inRiser && fillAt(state.headFt) === 0) {
      // The same place dry, and with water in it: as high as the lens at the most.
      const lensIn = lensHeightIn(setup);
      const mostFill = Math.min(0.5, (0.95 * lensIn) / pipe.diameterIn);
      const wetFill = LEAST_FILL + random.next() * Math.max(0, mostFill - LEAST_FILL);
      for (const fill of [0, wetFill]) {
        const depthIn = (ft: number) => fill * pathPipeAt(path, ft).diameterIn;
        drawer.draw({ ...state, lensFt: lensIn / 12, timeS: state.elapsedS, depthIn });
        guesses.push({ truth: fill, ...guessOf(pixels(WIDE, HIGH)) });
      }
    }
    await new Promise((resolve) => setTimeout(resolve));
  }
  drawer.dispose();
  canvas.remove();
  const passedS = (ft: number) =>
    [...atS].find(([headFt]) => headFt >= ft)?.[1] ?? Number.POSITIVE_INFINITY;
  const passed = (all: readonly number[]) => all.map(passedS).filter(Number.isFinite);
  const changes = path.pipes.slice(1).filter((pipe, index) => {
    const before = path.pipes[index]!;
    return before.material !== pipe.material;
  });
  return {
    guesses,
    notices: noticesOf(frames),
    lastsS: frames.length * EVERY_S,
    pipeS: passed(changes.map(({ fromFt }) => fromFt)),
    waterS,
    thingsS: passed([
      ...path.things.flatMap(({ fromFt, toFt }) => [fromFt, toFt]),
      ...path.bends.map(({ atFt }) => atFt),
      ...path.pipes.map(({ fromFt }) => fromFt),
    ]),
  };
}

Object.assign(window, { seeThrough });
