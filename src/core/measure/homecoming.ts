import { TOLERANCES } from '../base/tolerances';
import type { Pass } from '../catalogue/vocabulary';
import type { Run } from '../model/job/run';
import type { Settings } from '../model/job/settings';
import type { Entry, EntryOf } from '../model/log/entry';
import { farthestReadingFt } from './reading';

/** What the counter did over a whole run. Feet throughout. */
export type Homecoming = {
  /** Reading at the zero. */
  readonly zeroFt: number;
  readonly farthestFt: number;
  /** Reading when the head was back at the datum; `null` when nobody said it. */
  readonly homeFt: number | null;
  /** Homecoming reading less the zero; 0 when not logged. */
  readonly misclosureFt: number;
  /** The part of it that is shared out over the footages: none of one that is not to be believed. */
  readonly sharedFt: number;
  /** Cable moved in all, out and back. */
  readonly cableFt: number;
  /** Whether the misclosure is more than a counter's ordinary slip. */
  readonly excessive: boolean;
  /** A homecoming too far from the zero to be slip, which nobody has looked at twice; shared out over nothing. */
  readonly implausible: EntryOf<'home'> | null;
};

/** The most that slip alone can make of a homecoming, feet: beyond it somebody said a wrong number. */
export function mostSlipFt(farthestFt: number): number {
  return Math.max(TOLERANCES.homeImplausibleFt, TOLERANCES.homeImplausibleRatio * farthestFt);
}

/**
 * Measures how far a run's counter failed to come home.
 *
 * A closed traverse: the misclosure `m = rc − r0` is known, and is shared out over the cable moved,
 * `T = (rmax − r0) + (rmax − rc)`. One wrong key must never bend a whole line: a misclosure that no slip
 * explains is shared out only once somebody accepted it.
 */
export function measureHomecoming(run: Run, standing: readonly Entry[]): Homecoming {
  const zeroFt = run.zero.readingFt;
  const farthestFt = farthestReadingFt(run, standing);
  const home = standing.findLast(
    (entry): entry is EntryOf<'home'> => entry.kind === 'home' && entry.readingFt !== null,
  );
  const homeFt = home?.readingFt ?? null;
  const misclosureFt = homeFt === null ? 0 : homeFt - zeroFt;
  const isGross = Math.abs(misclosureFt) > mostSlipFt(farthestFt) + 1e-9;
  const implausible = home !== undefined && isGross && home.accepted !== true ? home : null;
  const sharedFt = implausible ? 0 : misclosureFt;
  const cableFt = farthestFt - zeroFt + (farthestFt - (zeroFt + sharedFt));
  const allowedFt = TOLERANCES.homecomingFt + TOLERANCES.homecomingRatio * farthestFt;
  return {
    zeroFt,
    farthestFt,
    homeFt,
    misclosureFt,
    sharedFt,
    cableFt,
    excessive: implausible === null && Math.abs(misclosureFt) > allowedFt,
    implausible,
  };
}

/**
 * Share (0 to 1) of the misclosure that a reading carries: cable moved so far ÷ cable moved in all.
 * Out, `t = r − r0`; back, `t = (rmax − r0) + (rmax − r)`. 0 when no cable moved.
 */
export function slipShare(
  home: Homecoming,
  pass: Pass,
  readingFt: number,
  slipOn: Settings['slipOn'],
): number {
  const outFt = home.farthestFt - home.zeroFt;
  if (slipOn === 'out') {
    if (outFt <= 0) return 0;
    return pass === 'out' ? (readingFt - home.zeroFt) / outFt : 1;
  }
  if (home.cableFt <= 0) return 0;
  const movedFt = pass === 'out' ? readingFt - home.zeroFt : outFt + (home.farthestFt - readingFt);
  return movedFt / home.cableFt;
}

/** The corrected reading `r' = r − m·t/T`, feet. */
export function correctReadingFt(
  home: Homecoming,
  pass: Pass,
  readingFt: number,
  slipOn: Settings['slipOn'],
): number {
  return readingFt - home.sharedFt * slipShare(home, pass, readingFt, slipOn);
}
