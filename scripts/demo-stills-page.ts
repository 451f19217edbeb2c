import { distanceTo } from '#core/simulator/path';
import { createRig, lensHeightIn, type RigSetup } from '#core/simulator/rig';
import type { LateralTruth } from '#core/simulator/truth';
import { createPicture } from '../src/picture/picture';

/** Draws what the camera sees at stations of a lateral, as JPEG data URLs. */
async function drawStills(
  truth: LateralTruth,
  setup: RigSetup,
  stations: readonly number[],
  [width, height]: [number, number],
): Promise<string[]> {
  const rig = createRig(truth, setup, 1);
  const canvas = document.createElement('canvas');
  document.body.append(canvas);
  const drawer = createPicture(canvas, rig.path);
  if (!drawer) throw new Error('No WebGL');
  drawer.resize(width, height);
  const stills: string[] = [];
  for (const stationFt of stations) {
    const atFt = distanceTo(rig.path, truth.lines[0]!.id, stationFt);
    if (atFt === null) throw new Error(`No pipe at ${stationFt} ft`);
    const state = rig.resume(atFt, stationFt);
    drawer.draw({
      ...state,
      lensFt: lensHeightIn(setup) / 12,
      timeS: 1,
      depthIn: rig.depthIn,
    });
    stills.push(canvas.toDataURL('image/jpeg', 0.82));
    await new Promise((resolve) => setTimeout(resolve));
  }
  drawer.dispose();
  canvas.remove();
  return stills;
}

Object.assign(window, { drawStills });
