import { createRig, lensHeightIn, type RigSetup } from '#core/simulator/rig';
import type { LateralTruth } from '#core/simulator/truth';
import { createPicture } from '../src/picture/picture';

/** Drives a lateral in the page, draws a picture every half foot, and returns what each took, ms. */
async function timePictures(truth: LateralTruth, setup: RigSetup, size: [number, number]) {
  const rig = createRig(truth, setup, 1);
  const canvas = document.createElement('canvas');
  document.body.append(canvas);
  const drawer = createPicture(canvas, rig.path);
  if (!drawer) throw new Error('No WebGL');
  drawer.resize(...size);
  const gl = canvas.getContext('webgl2')!;
  const pixel = new Uint8Array(4);
  const times: number[] = [];
  rig.runWater(truth.fixtures[0]!);
  while (rig.state().warning === null) {
    const state = rig.advance(0.5, { motion: 'push', speedFtPerS: 1 });
    const startMs = performance.now();
    drawer.draw({
      ...state,
      lensFt: lensHeightIn(setup) / 12,
      timeS: state.elapsedS,
      depthIn: rig.depthIn,
    });
    // Reading a pixel waits until everything is drawn.
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, pixel);
    times.push(performance.now() - startMs);
    await new Promise((resolve) => setTimeout(resolve));
  }
  drawer.dispose();
  canvas.remove();
  return times;
}

Object.assign(window, { timePictures });
