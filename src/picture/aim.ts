import { type PerspectiveCamera, Quaternion, Vector3 } from 'three';
import type { RigPath } from '#core/simulator/path';
import { frameAt } from './frame';
import type { PictureView } from './view';

/** Height of the picture's field of view, degrees: a wide lens, as pipe cameras have. */
export const FIELD_DEG = 62;
/** The axis that a camera of three.js looks along. */
const FORWARD = new Vector3(0, 0, 1);

/** Puts a camera where the head is: low in the pipe, looking along it. */
export function aimCamera(
  camera: PerspectiveCamera,
  path: RigPath,
  { headFt, lensFt, rollDeg }: Pick<PictureView, 'headFt' | 'lensFt' | 'rollDeg'>,
): void {
  const frame = frameAt(path, headFt);
  const lowFt = Math.min(0, lensFt - frame.radiusFt);
  camera.position.copy(frame.centre).addScaledVector(frame.up, lowFt);
  const ahead = frameAt(path, headFt + 0.35);
  const aim = ahead.centre.addScaledVector(ahead.up, lowFt * 0.55);
  camera.up.copy(frame.up);
  camera.lookAt(aim);
  if (rollDeg !== 0) {
    const turn = new Quaternion().setFromAxisAngle(FORWARD, (-rollDeg * Math.PI) / 180);
    camera.quaternion.multiply(turn);
  }
}
