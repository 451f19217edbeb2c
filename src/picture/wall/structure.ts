import { formOf } from '../form';
import { noise3, rise, rough3, stones3 } from '../noise';
import {
  hoursApart,
  inArc,
  inSpace,
  inStretch,
  rightOf,
  RUST,
  SOIL,
  stretchOf,
  tint,
  upOf,
  VOID,
  type WallEffect,
  type WallPoint,
} from './point';

/** Opens the wall: soil and stones behind it, a dark rim. `share` above ½ is gone. */
function openToSoil(point: WallPoint, share: number, depth: number): void {
  const gone = rise(0.44, 0.52, share);
  const rim = rise(0.3, 0.42, share) * (1 - gone);
  tint(point, VOID, 0.9 * rim);
  if (gone <= 0) return;
  const [x, y, z] = inSpace(point, 14);
  const { apart, own } = stones3(x, y, z);
  point.radiusFt += gone * depth * point.boreFt * (0.6 + 0.9 * rough3(x * 0.5, y * 0.5, z * 0.5));
  tint(point, SOIL, gone);
  const stone = 0.22 + 0.3 * own;
  tint(point, [stone, stone * 0.9, stone * 0.75], gone * (1 - rise(0.3, 0.45, apart)));
  tint(point, VOID, 0.5 * gone * rise(0.6, 0.9, apart));
  point.gloss *= 1 - gone;
  point.grain *= 1 - 0.5 * gone;
}

/** A ragged patch, 0 at its edge to 1 in its middle. */
function patch(
  point: WallPoint,
  thing: Parameters<WallEffect>[1],
  longFt: number,
  wideHours: number,
): number {
  if (thing.kind !== 'defect') return 0;
  const { clockFrom = 12, clockTo } = thing.what;
  const span = clockTo === undefined ? 0 : (((clockTo - clockFrom) % 12) + 12) % 12;
  const middle = clockFrom + span / 2;
  const half = Math.max(wideHours, span) / 2;
  const [fromFt, toFt] = stretchOf(thing, longFt);
  const along = Math.abs(point.atFt - (fromFt + toFt) / 2) / ((toFt - fromFt) / 2);
  const round = hoursApart(point.clock, middle) / half;
  const [x, y, z] = inSpace(point, 9);
  return 1 - Math.hypot(along, round) * (0.62 + 0.5 * noise3(x, y, z));
}

export const breakWall: WallEffect = (point, thing) => {
  const form = thing.kind === 'defect' ? formOf(thing.what) : null;
  const isInvert = form === 'invert-missing';
  if (thing.kind === 'defect' && (isInvert || form === 'wall-missing')) {
    const at = isInvert ? { ...thing, what: { clockFrom: 5, clockTo: 7, ...thing.what } } : thing;
    openToSoil(point, patch(point, at, 0.9, 3) + 0.35, 0.22);
    return;
  }
  // Displaced: the broken piece has tipped into the bore, with a dark edge round it.
  const share = patch(point, thing, 0.8, 3.4);
  const inside = rise(0.12, 0.16, share);
  const edge = rise(-0.02, 0.06, share) * (1 - rise(0.14, 0.22, share));
  const tip = (point.atFt - thing.fromFt) / 0.8 + 0.5;
  point.radiusFt -= inside * point.boreFt * (0.12 + 0.22 * tip);
  point.radiusFt += edge * 0.12 * point.boreFt;
  tint(point, VOID, 0.95 * edge);
  tint(point, [0.66, 0.45, 0.32], 0.25 * inside);
};

export const holeWall: WallEffect = (point, thing) => {
  const share = patch(point, thing, 0.3, 1.6) + 0.4;
  openToSoil(point, share, 0.7);
  tint(point, VOID, 0.8 * rise(0.62, 0.78, share));
};

export const collapseWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const share = inStretch(point.atFt, thing.fromFt + 0.15, thing.fromFt + 1.4, 0.3);
  if (share <= 0) return;
  const [x, y, z] = inSpace(point, 7);
  const lump = rough3(x, y, z);
  // The crown has come down on the invert: a heap of soil and pieces that closes nearly all of the pipe.
  const closed = 0.72 + 0.28 * rise(-0.5, 0.7, upOf(point.clock));
  point.radiusFt -= share * point.boreFt * closed * (0.62 + 0.45 * lump);
  const { apart, own } = stones3(x * 1.3, y * 1.3, z * 1.3);
  const isPiece = own > 0.55;
  tint(point, SOIL, share);
  tint(
    point,
    isPiece ? [0.78, 0.44, 0.3] : [0.5, 0.39, 0.26],
    share * (1 - rise(0.35, 0.5, apart)),
  );
  tint(point, VOID, 0.7 * share * rise(0.65, 0.9, apart));
  point.gloss *= 1 - share;
};

export const deformWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const [fromFt, toFt] = stretchOf(thing, 2);
  const share =
    inStretch(point.atFt, fromFt + 0.4, toFt - 0.4, 0.8) * (thing.what.extentRatio ?? 0.1);
  const up = upOf(point.clock);
  // Flattened from above, and spread to the sides: the crown is a low flat roof.
  point.radiusFt *= 1 + 0.8 * share * rightOf(point.clock) ** 2;
  if (up > 0.05) point.radiusFt = Math.min(point.radiusFt, (point.boreFt * (1 - 2.4 * share)) / up);
  const blister = noise3(...inSpace(point, 5));
  point.radiusFt -= 0.35 * share * point.boreFt * rise(0.6, 0.85, blister);
  tint(point, [0.42, 0.35, 0.28], 2.4 * share * rise(0.3, 0.8, up));
};

export const offsetWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const offFt = (thing.what.offsetIn ?? 0.4) / 12;
  const { clockFrom = 6 } = thing.what;
  const beyondFt = point.atFt - thing.fromFt;
  if (beyondFt < 0 || beyondFt > 3) return;
  // The next pipe lies to one side: its edge stands in the bore at the clock that was called.
  const toward = Math.cos(((point.clock - clockFrom) * Math.PI) / 6);
  point.radiusFt -= offFt * toward * (1 - rise(0.4, 3, beyondFt));
  const face = 1 - rise(0.015, 0.05, beyondFt);
  tint(point, [0.78, 0.66, 0.52], 0.75 * face * rise(0, 0.5, toward));
  tint(point, VOID, 0.8 * face * rise(0, 0.5, -toward));
};

export const gapWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const halfFt = Math.max(0.03, (thing.what.gapIn ?? 0.5) / 24);
  const away = Math.abs(point.atFt - thing.fromFt);
  const open = 1 - rise(halfFt, halfFt + 0.015, away);
  if (open <= 0) return;
  point.radiusFt += open * 0.2 * point.boreFt * (0.7 + 0.6 * noise3(...inSpace(point, 10)));
  const { apart, own } = stones3(...inSpace(point, 18));
  tint(point, SOIL, open);
  tint(point, [0.25 + 0.3 * own, 0.22 + 0.25 * own, 0.2], open * (1 - rise(0.3, 0.45, apart)));
};

export const wearWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const form = formOf(thing.what);
  const { clockFrom = 5, clockTo = 7 } = thing.what;
  const [fromFt, toFt] = stretchOf(thing, 1);
  const share =
    inArc(point.clock, clockFrom, clockTo, 0.9) * inStretch(point.atFt, fromFt, toFt, 0.3);
  if (share <= 0) return;
  const [x, y, z] = inSpace(point, 16);
  if (form === 'invert-gone') {
    openToSoil(point, share * (0.62 + 0.2 * noise3(x * 0.5, y * 0.5, z * 0.5)), 0.16);
    return;
  }
  const rough = rough3(x, y, z);
  tint(point, RUST, 0.8 * share);
  tint(point, [0.72, 0.4, 0.15], share * rise(0.5, 0.7, rough));
  point.radiusFt += share * 0.06 * point.boreFt * rough;
  if (form !== 'pitted') return;
  const { apart } = stones3(x * 0.7, y * 0.7, z * 0.7);
  const pit = share * (1 - rise(0.26, 0.36, apart));
  point.radiusFt += pit * 0.16 * point.boreFt;
  tint(point, VOID, pit);
};

export const spallWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const form = formOf(thing.what);
  const [fromFt, toFt] = stretchOf(thing, 1.5);
  const share =
    inArc(point.clock, thing.what.clockFrom, thing.what.clockTo, 1) *
    inStretch(point.atFt, fromFt, toFt, 0.4);
  if (share <= 0) return;
  if (form === 'hole') {
    openToSoil(point, patch(point, thing, 0.7, 2.4) + 0.4, 0.3);
    return;
  }
  if (form === 'stone-exposed') {
    // The skin is gone: rounded stones stand out of it.
    const { apart, own } = stones3(...inSpace(point, 15));
    const stone = 1 - rise(0.32, 0.44, apart);
    point.radiusFt += share * (0.035 - 0.055 * stone) * point.boreFt * 2;
    const shade = 0.3 + 0.45 * own;
    tint(point, [0.32, 0.29, 0.25], share);
    tint(point, [shade, shade * (0.85 + 0.15 * own), shade * 0.8], share * stone);
    return;
  }
  const grit = noise3(...inSpace(point, 60));
  point.radiusFt += share * 0.02 * point.boreFt * rise(0.4, 0.8, grit);
  tint(point, grit > 0.5 ? [0.74, 0.68, 0.55] : [0.4, 0.36, 0.3], 0.8 * share);
};

export const lipWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  standLip(point, point.atFt - thing.fromFt, (thing.what.lipIn ?? 0.3) / 12);
};

/** An edge that stands up in the bore, most of it at the bottom. */
export function standLip(point: WallPoint, awayFt: number, lipFt: number): void {
  const on = rise(-0.012, 0, awayFt) * (1 - rise(0.05, 0.3, awayFt));
  if (on <= 0) return;
  const lower = 0.25 + 0.75 * rise(-0.4, 0.7, -upOf(point.clock));
  point.radiusFt -= on * lower * (lipFt + 0.01);
  tint(point, [0.92, 0.9, 0.84], 0.85 * (1 - rise(0, 0.05, Math.abs(awayFt))));
  tint(point, VOID, 0.5 * rise(0.06, 0.12, awayFt) * (1 - rise(0.12, 0.3, awayFt)) * lower);
}
