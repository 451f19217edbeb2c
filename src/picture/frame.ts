import { Vector3 } from 'three';
import { boreAtFt, courseAt } from '#core/simulator/course';
import type { RigPath } from '#core/simulator/path';

/** Where the bore is at a place of the way, and how it lies. Feet; y is up. */
export type Frame = {
  /** Middle of the pipe, and its radius. */
  readonly centre: Vector3;
  readonly radiusFt: number;
  readonly forward: Vector3;
  readonly right: Vector3;
  readonly up: Vector3;
};

/** Frame of the pipe at a distance from the rim. */
export function frameAt(path: RigPath, atFt: number): Frame {
  const { x, y, z, yaw, pitch } = courseAt(path, atFt);
  const forward = new Vector3(
    Math.cos(pitch) * Math.cos(yaw),
    Math.sin(pitch),
    Math.cos(pitch) * Math.sin(yaw),
  );
  // Level across, whatever the pipe does: it never turns over in a drop.
  const right = new Vector3(-Math.sin(yaw), 0, Math.cos(yaw));
  const up = new Vector3().crossVectors(right, forward);
  const radiusFt = boreAtFt(path, atFt) / 2;
  const centre = new Vector3(x, z, y).addScaledVector(up, radiusFt);
  return { centre, radiusFt, forward, right, up };
}

/** A point at a clock and a distance from the middle, drawn along the way by `alongFt`. */
export function pointIn(frame: Frame, clock: number, outFt: number, alongFt = 0): Vector3 {
  const angle = (clock * Math.PI) / 6;
  return frame.centre
    .clone()
    .addScaledVector(frame.right, Math.sin(angle) * outFt)
    .addScaledVector(frame.up, Math.cos(angle) * outFt)
    .addScaledVector(frame.forward, alongFt);
}
