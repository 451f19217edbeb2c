import type { PathThing } from '#core/simulator/path';
import { rise } from '../noise';

/** A colour as it looks in white light, each part 0 to 1. */
export type Colour = readonly [red: number, green: number, blue: number];

/** A point of the pipe's surface, worked on by one effect after another. */
export type WallPoint = {
  /** Distance from the rim along the way, feet. */
  atFt: number;
  /** Hours clockwise as the lens sees them, 0 to 12. */
  clock: number;
  /** Bore's own radius, feet. */
  boreFt: number;
  /** Distance of the surface from the middle of the pipe, feet. */
  radiusFt: number;
  /** How far the surface is drawn along the way, feet. */
  alongFt: number;
  red: number;
  green: number;
  blue: number;
  /** 0 dull to 1 wet. */
  gloss: number;
  /** How much of the material's own grain shows, 0 to 1. */
  grain: number;
};

/** What one thing does to the surface near it. */
export type WallEffect = (point: WallPoint, thing: PathThing) => void;

/** Mixes a colour in. */
export function tint(point: WallPoint, [red, green, blue]: Colour, share: number): void {
  if (share <= 0) return;
  const part = Math.min(1, share);
  point.red += (red - point.red) * part;
  point.green += (green - point.green) * part;
  point.blue += (blue - point.blue) * part;
}

/** Direction of a point round the bore: right and up, each −1 to 1. */
export const rightOf = (clock: number) => Math.sin((clock * Math.PI) / 6);
export const upOf = (clock: number) => Math.cos((clock * Math.PI) / 6);

/** Hours between two places on the clock, 0 to 6. */
export function hoursApart(a: number, b: number): number {
  const apart = Math.abs(a - b) % 12;
  return Math.min(apart, 12 - apart);
}

/** 1 within an arc, falling to 0 over `edge` hours beyond it. With no arc: 1 everywhere. */
export function inArc(
  clock: number,
  from: number | undefined,
  to: number | undefined,
  edge = 0.5,
): number {
  if (from === undefined) return 1;
  const span = to === undefined ? 0 : (((to - from) % 12) + 12) % 12;
  const half = span / 2;
  return 1 - rise(half, half + edge, hoursApart(clock, from + half));
}

/** 1 within a stretch, falling to 0 over `edge` feet beyond either end. */
export function inStretch(atFt: number, fromFt: number, toFt: number, edge: number): number {
  return rise(fromFt - edge, fromFt, atFt) * (1 - rise(toFt, toFt + edge, atFt));
}

/** A stretch about a thing that is logged at one spot, `longFt` long. */
export function stretchOf(thing: PathThing, longFt: number): readonly [number, number] {
  const lackFt = Math.max(0, longFt - (thing.toFt - thing.fromFt));
  return [thing.fromFt - lackFt / 2, thing.toFt + lackFt / 2];
}

/** Where a point lies in space for noise, so that the pattern has no seam round the bore. */
export function inSpace(point: WallPoint, perFt: number): [number, number, number] {
  return [
    rightOf(point.clock) * point.boreFt * perFt + 31,
    upOf(point.clock) * point.boreFt * perFt + 57,
    point.atFt * perFt,
  ];
}

export const SOIL: Colour = [0.3, 0.2, 0.11];
export const VOID: Colour = [0.03, 0.022, 0.015];
export const RUST: Colour = [0.55, 0.27, 0.09];
