import { Vector3 } from 'three';
import type { RigPath } from '#core/simulator/path';
import { frameAt } from './frame';
import { rough3 } from './noise';
import { Sink } from './sink';
import type { Colour } from './wall/point';

/** What the way opens into at its end, or what closes it. */
export function drawEnd(path: RigPath): Sink {
  const sink = new Sink();
  const piece = path.pieces.at(-1)!;
  const line = piece.line!;
  const frame = frameAt(path, path.lengthFt);
  if (path.facing === 'upstream') {
    closeEnd(sink, frame.centre, frame.radiusFt, frame.right, frame.up);
    return sink;
  }
  const { kind, diameterIn, levelIn } = line.outlet;
  const wideFt = diameterIn / 24;
  const level = new Vector3(frame.forward.x, 0, frame.forward.z).normalize();
  const up = new Vector3(0, 1, 0);
  // The lateral comes in above the middle of a main, near the top of a tank.
  const isTank = kind === 'tank';
  const middle = frame.centre
    .clone()
    .addScaledVector(level, isTank ? wideFt * 1.02 : wideFt * 0.86)
    .addScaledVector(up, isTank ? -wideFt * 0.5 : -Math.max(0, wideFt - frame.radiusFt) * 0.55);
  const colour: Colour = isTank ? [0.36, 0.34, 0.29] : [0.5, 0.27, 0.17];
  const longFt = isTank ? wideFt * 1.1 : wideFt * 6;
  const steps = isTank ? 16 : 34;
  /** A point of the big pipe's wall: round it, and along it to the right. */
  const onWall = (angle: number, along: number) =>
    middle
      .clone()
      .addScaledVector(level, Math.cos(angle) * wideFt)
      .addScaledVector(up, Math.sin(angle) * wideFt)
      .addScaledVector(frame.right, along);
  for (let part = 0; part < steps; part += 1) {
    const alongs = [part, part + 1].map((at) => (at / steps - 0.5) * 2 * longFt) as [
      number,
      number,
    ];
    for (let turn = -10; turn < 10; turn += 1) {
      const angles = [turn, turn + 1].map((at) => (at / 10) * Math.PI * (isTank ? 0.62 : 0.66)) as [
        number,
        number,
      ];
      const [low, high] = angles;
      const dirt = rough3(part * 0.4 + 9, turn * 0.5 + 40, 3);
      const wet = Math.sin(low) < -0.55;
      const isJoint = !isTank && part % 8 === 3;
      const shade = (isJoint ? 0.4 : 0.88 + 0.2 * dirt) * (wet ? 0.5 : 1);
      sink.quad(
        [
          onWall(low, alongs[0]),
          onWall(low, alongs[1]),
          onWall(high, alongs[1]),
          onWall(high, alongs[0]),
        ],
        [colour[0] * shade, colour[1] * shade, colour[2] * shade],
        wet ? 0.9 : 0.3,
      );
    }
  }
  // What runs or stands in it.
  const levelAt = isTank
    ? -frame.radiusFt + levelIn / 12 + frame.centre.y - middle.y
    : -wideFt * 0.62;
  const half = Math.sqrt(Math.max(0.0001, wideFt ** 2 - levelAt ** 2));
  const water = (side: number, along: number) =>
    middle
      .clone()
      .addScaledVector(up, levelAt)
      .addScaledVector(level, side * half)
      .addScaledVector(frame.right, along);
  for (let part = 0; part < 24; part += 1) {
    const [from, to] = [part, part + 1].map((at) => (at / 24 - 0.5) * 2 * longFt) as [
      number,
      number,
    ];
    const shade = 0.5 + 0.5 * rough3(part * 0.9, 4, 7);
    sink.quad(
      [water(-1, from), water(-1, to), water(1, to), water(1, from)],
      [0.1 * shade, 0.14 * shade, 0.14 * shade],
      1.6,
    );
  }
  if (isTank) hangBaffle(sink, middle, wideFt, level, frame.right);
  return sink;
}

/** The outlet tee that hangs in a tank. */
function hangBaffle(
  sink: Sink,
  middle: Vector3,
  wideFt: number,
  level: Vector3,
  right: Vector3,
): void {
  const at = (upFt: number) =>
    middle
      .clone()
      .addScaledVector(level, wideFt * 0.55)
      .addScaledVector(right, wideFt * 0.22)
      .add(new Vector3(0, upFt, 0));
  sink.tube([at(-0.2), at(0.9)], () => 0.17, [0.85, 0.85, 0.8], { sides: 14, gloss: 0.4 });
}

/** A closed end: a plug with a square nut, as cleanouts and capped stubs have. */
function closeEnd(
  sink: Sink,
  centre: Vector3,
  radiusFt: number,
  right: Vector3,
  up: Vector3,
): void {
  const at = (angle: number, share: number) =>
    centre
      .clone()
      .addScaledVector(right, Math.cos(angle) * radiusFt * share)
      .addScaledVector(up, Math.sin(angle) * radiusFt * share);
  for (let part = 0; part < 24; part += 1) {
    const [from, to] = [part, part + 1].map((one) => (one / 24) * 2 * Math.PI) as [number, number];
    sink.quad([at(from, 0), at(from, 1.05), at(to, 1.05), at(to, 0)], [0.24, 0.2, 0.17], 0.3);
    sink.quad([at(from, 0.78), at(from, 0.84), at(to, 0.84), at(to, 0.78)], [0.5, 0.46, 0.4], 0.3);
  }
  const corner = (x: number, y: number) =>
    centre
      .clone()
      .addScaledVector(right, x * radiusFt * 0.26)
      .addScaledVector(up, y * radiusFt * 0.26);
  sink.quad([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)], [0.58, 0.5, 0.36], 0.5);
}
