import { noise3, rise, rough3, stones3 } from '../noise';
import {
  hoursApart,
  inArc,
  inSpace,
  inStretch,
  rightOf,
  stretchOf,
  tint,
  upOf,
  VOID,
  type WallEffect,
} from './point';

export const scaleWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const extent = thing.what.extentRatio ?? 0.1;
  const [fromFt, toFt] = stretchOf(thing, 1.2);
  const share =
    inStretch(point.atFt, fromFt, toFt, 0.4) *
    inArc(point.clock, thing.what.clockFrom, thing.what.clockTo, 1);
  if (share <= 0) return;
  // Hard lumps of rust, big and small, on all of the wall.
  const thick = 1 - Math.sqrt(1 - Math.min(0.95, extent));
  const { apart, own } = stones3(...inSpace(point, 9));
  const lump = (1 - rise(0.1, 0.75, apart)) * (0.4 + 0.8 * own);
  point.radiusFt -= share * point.boreFt * (0.5 * thick + (0.08 + 1.3 * thick) * lump);
  tint(point, [0.24, 0.12, 0.06], share);
  tint(point, [0.68, 0.34, 0.1], share * rise(0.25, 0.7, lump));
  tint(point, VOID, 0.5 * share * rise(0.6, 0.85, apart));
  point.gloss *= 1 - 0.7 * share;
};

export const greaseWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const extent = thing.what.extentRatio ?? 0.1;
  const [fromFt, toFt] = stretchOf(thing, 1.4);
  const arc =
    thing.what.clockFrom === undefined
      ? Math.max(rise(0.1, 0.8, Math.abs(rightOf(point.clock))), 0.55)
      : inArc(point.clock, thing.what.clockFrom, thing.what.clockTo, 1.2);
  const share = inStretch(point.atFt, fromFt, toFt, 0.5) * arc;
  if (share <= 0) return;
  // Soft, pale and smooth: it hangs in folds that run into each other.
  const fold = noise3(...inSpace(point, 4.5));
  const thick = rise(0.25, 0.75, fold);
  point.radiusFt -= share * point.boreFt * (0.03 + 1.5 * extent) * thick;
  tint(point, [0.83, 0.76, 0.55], share * rise(0.12, 0.4, fold));
  tint(point, [0.95, 0.92, 0.8], 0.6 * share * rise(0.6, 0.85, fold));
  point.gloss = Math.max(point.gloss, 0.75 * share);
  point.grain *= 1 - share;
};

export const debrisWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const extent = thing.what.extentRatio ?? 0.1;
  const [fromFt, toFt] = stretchOf(thing, 1);
  const along = inStretch(point.atFt, fromFt + 0.1, toFt - 0.1, 0.35);
  const up = upOf(point.clock);
  if (along <= 0 || up >= -0.05) return;
  // Lies on the bottom: the surface is a rough level, not a ring.
  const [x, y, z] = inSpace(point, 12);
  const lump = rough3(x, y, z);
  const highFt =
    point.boreFt * 2 * Math.min(0.8, 0.1 + extent * 1.15) * along * (0.72 + 0.5 * lump);
  const topFt = (point.boreFt - highFt) / -up;
  if (topFt >= point.radiusFt) return;
  point.radiusFt = topFt;
  const { own, apart } = stones3(x * 1.4, y * 1.4, z * 1.4);
  tint(point, [0.22, 0.16, 0.1], 1);
  tint(
    point,
    own > 0.7 ? [0.56, 0.52, 0.45] : own > 0.45 ? [0.4, 0.3, 0.17] : [0.13, 0.1, 0.07],
    1 - rise(0.3, 0.5, apart),
  );
  point.gloss = 0.25;
};

export const mineralWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const extent = thing.what.extentRatio ?? 0.1;
  const { clockFrom = 9, clockTo = 3 } = thing.what;
  const [fromFt, toFt] = stretchOf(thing, 0.35);
  // From the joint it came through at, it has run down the wall and set, pale as stone.
  const above = inArc(point.clock, clockFrom, clockTo, 0.8);
  const drip = noise3(point.clock * 4, 7, point.atFt * 5);
  const spread = 0.12 + 0.7 * drip * rise(-0.9, 0.6, -upOf(point.clock));
  const along = inStretch(point.atFt, fromFt, toFt, spread);
  const below = 0.75 * (1 - rise(0, 3, hoursApart(point.clock, clockFrom < 6 ? 4.5 : 7.5)));
  const share = along * Math.max(above, below * along);
  if (share <= 0.02) return;
  const [x, y, z] = inSpace(point, 13);
  const crust = rough3(x, y, z);
  point.radiusFt -= share * point.boreFt * (0.05 + 1.6 * extent) * (0.35 + crust);
  tint(point, [0.9, 0.87, 0.78], rise(0.05, 0.4, share));
  tint(point, [0.8, 0.62, 0.36], 0.7 * share * rise(0.5, 0.7, crust));
  point.gloss = Math.max(point.gloss * (1 - share), 0.35 * share);
};

export const residueWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const [fromFt, toFt] = stretchOf(thing, 2);
  const along = inStretch(point.atFt, fromFt, toFt, 0.6);
  if (along <= 0) return;
  // It stood up to here: a dirty line on both sides, and a film under it.
  const line = 0.12 + 0.05 * noise3(4, 9, point.atFt * 2);
  const away = upOf(point.clock) - line;
  tint(point, [0.3, 0.25, 0.15], 0.5 * along * rise(0, 0.08, -away));
  tint(point, [0.13, 0.1, 0.06], along * (1 - rise(0.05, 0.13, Math.abs(away))));
  const tide = noise3(point.clock * 6, 2, point.atFt * 9);
  tint(
    point,
    [0.75, 0.7, 0.55],
    0.8 * along * rise(0.62, 0.8, tide) * (1 - rise(0.02, 0.1, Math.abs(away - 0.08))),
  );
};
