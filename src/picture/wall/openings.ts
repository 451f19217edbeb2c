import { formOf } from '../form';
import { noise3, rise } from '../noise';
import { hoursApart, inSpace, tint, upOf, VOID, type WallEffect, type WallPoint } from './point';

/** A branch's opening: how wide it is to the bore, how far it leans along the way, and where it sits. */
type Opening = {
  readonly wide: number;
  readonly lean: number;
  readonly clock: number;
  /** How much longer it is along the way than across. */
  readonly long: number;
};

/** Openings of the features that have one. */
function openingOf(thing: Parameters<WallEffect>[1]): Opening | null {
  if (thing.kind !== 'feature') return null;
  const { feature, clock } = thing.what;
  switch (feature) {
    case 'tee':
      return { wide: 0.72, lean: 0, clock: clock ?? 3, long: 1 };
    case 'wye':
    case 'join':
      return { wide: feature === 'join' ? 0.88 : 0.72, lean: -1.1, clock: clock ?? 3, long: 1.9 };
    case 'cleanout':
    case 'property-line-cleanout':
    case 'access-point':
    case 'riser':
      return { wide: 0.82, lean: 0, clock: 12, long: 1 };
    case 'test-tee':
      return { wide: 0.7, lean: 0, clock: 12, long: 1 };
    case 'vent':
      return { wide: 0.36, lean: 0, clock: 12, long: 1 };
    default:
      return null;
  }
}

export const openWall: WallEffect = (point, thing) => {
  const opening = openingOf(thing);
  if (!opening) return;
  const acrossFt =
    point.boreFt *
    2 *
    Math.sin((Math.min(3, hoursApart(point.clock, opening.clock)) * Math.PI) / 12);
  const alongFt = (point.atFt - thing.fromFt) / opening.long;
  const away = Math.hypot(acrossFt, alongFt) / (point.boreFt * opening.wide);
  const rim = rise(1.12, 1.2, away) * (1 - rise(1.3, 1.42, away));
  tint(point, [0.75, 0.72, 0.66], 0.5 * rim);
  const isPlugged = thing.kind === 'feature' && thing.what.feature === 'test-tee';
  tint(point, VOID, (isPlugged ? 0.6 : 0.92) * (1 - rise(1, 1.16, away)));
  const inside = 1 - rise(0.88, 1, away);
  if (inside <= 0) return;
  const deepFt = point.boreFt * (isPlugged ? 0.35 : 2.4) * inside;
  // The opening is the wall pushed out: its sides are the branch.
  const floor = 1 - rise(0.7, 0.86, away);
  point.radiusFt += deepFt;
  point.alongFt += opening.lean * deepFt;
  if (isPlugged) {
    tint(point, [0.93, 0.93, 0.9], 0.95 * floor);
    tint(
      point,
      [0.35, 0.35, 0.35],
      floor * (1 - rise(0.12, 0.2, Math.abs(acrossFt) / point.boreFt)),
    );
    return;
  }
  tint(point, VOID, floor);
  if (opening.clock === 12 && opening.wide > 0.5 && thing.kind === 'feature') {
    // A riser: its cap lets a little day in.
    tint(point, [0.62, 0.66, 0.68], 0.9 * (1 - rise(0.25, 0.5, away)));
  }
};

export const couplingWall: WallEffect = (point, thing) => {
  const away = point.atFt - thing.fromFt;
  const band = 1 - rise(0.1, 0.115, Math.abs(away));
  if (band <= 0) return;
  point.radiusFt += 0.025 * band;
  tint(point, [0.15, 0.15, 0.16], band);
  tint(point, [0.6, 0.61, 0.62], band * (1 - rise(0.008, 0.016, Math.abs(Math.abs(away) - 0.085))));
};

export const failedCouplingWall: WallEffect = (point, thing) => {
  const away = point.atFt - thing.fromFt;
  const band = 1 - rise(0.12, 0.14, Math.abs(away));
  if (band <= 0) return;
  point.radiusFt += band * 0.12 * point.boreFt * (0.5 + noise3(...inSpace(point, 6)));
  tint(point, VOID, 0.9 * band);
  tint(point, [0.28, 0.18, 0.1], 0.7 * band * rise(0.5, 0.7, noise3(...inSpace(point, 20))));
};

export const utilityWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  for (const clock of [3, 9]) breakRound(point, thing.fromFt, clock);
};

/** The ragged hole that a pipe bored through the wall leaves round itself. */
function breakRound(point: WallPoint, atFt: number, clock: number): void {
  const acrossFt =
    point.boreFt * 2 * Math.sin((Math.min(3, hoursApart(point.clock, clock)) * Math.PI) / 12);
  const away = Math.hypot(acrossFt, point.atFt - atFt) / (point.boreFt * 0.62);
  const ragged = away * (0.75 + 0.5 * noise3(...inSpace(point, 8)));
  const gone = 1 - rise(0.86, 0.95, ragged);
  point.radiusFt += gone * 0.5 * point.boreFt;
  tint(point, [0.26, 0.18, 0.1], gone);
  tint(point, VOID, 0.8 * rise(0.9, 0.96, ragged) * (1 - rise(1, 1.08, ragged)));
}

export const seepWall: WallEffect = (point, thing) => {
  if (thing.kind !== 'defect') return;
  const { clockFrom = 2 } = thing.what;
  const form = formOf(thing.what) ?? 'drip';
  const strength = form === 'run' ? 1 : form === 'drip' ? 0.7 : 0.5;
  const isRight = clockFrom < 6;
  // Wet from where it enters down to the invert, with the stain that years of it left.
  const below = isRight
    ? point.clock > clockFrom && point.clock < 6.2
    : point.clock < clockFrom && point.clock > 5.8;
  const wide = (0.1 + 0.3 * strength) * (0.6 + 0.8 * noise3(point.clock * 2, 3, point.atFt * 3));
  const along = 1 - rise(0.4 * wide, wide, Math.abs(point.atFt - thing.fromFt));
  const here = 1 - rise(0.3, 0.8, hoursApart(point.clock, clockFrom));
  const share = along * Math.max(here, below && upOf(point.clock) < 1 ? 1 : 0);
  tint(point, [0.5, 0.3, 0.12], 0.8 * share);
  tint(
    point,
    [0.85, 0.6, 0.3],
    0.5 * share * rise(0.55, 0.7, noise3(point.clock * 5, 1, point.atFt * 8)),
  );
  point.gloss = Math.max(point.gloss, 1.2 * share * strength);
};
