import type { LocatedPoint } from './grade/inverts';

/** The locate nearest to a station. */
export type NearLocate = {
  readonly stationFt: number;
  readonly offFt: number;
  readonly depthIn: number;
  readonly sigmaIn: number;
};

/** Finds the locate nearest to a station; `null` when nothing was located. */
export function nearestLocate(
  located: readonly LocatedPoint[],
  stationFt: number,
): NearLocate | null {
  const [nearest] = [...located].sort(
    (a, b) => Math.abs(a.stationFt - stationFt) - Math.abs(b.stationFt - stationFt),
  );
  if (!nearest) return null;
  return {
    stationFt: nearest.stationFt,
    offFt: nearest.stationFt - stationFt,
    depthIn: nearest.depthIn,
    sigmaIn: nearest.sigmaIn,
  };
}
