import { TOLERANCES } from '../base/tolerances';
import type { Run } from '../job/run';
import type { Settings } from '../job/settings';
import type { Entry } from '../log/entry';
import type { Pass } from '../log/vocabulary';
import { farthestReadingFt } from './reading';

/** What the counter did over a whole run. Feet throughout. */
export type Homecoming = {
  /** Reading at the zero. */
  readonly zeroFt: number;
  readonly farthestFt: number;
  /** Reading when the head was back at the datum; `null` when it was not logged. */
  readonly homeFt: number | null;
  /** Homecoming reading less the zero; 0 when not logged. */
  readonly misclosureFt: number;
  /** Cable moved in all, out and back. */
  readonly cableFt: number;
  /** Whether the misclosure is more than a counter's ordinary slip. */
  readonly excessive: boolean;
};

/**
 * Measures how far a run's counter failed to come home.
 *
 * A closed traverse: the misclosure `m = rc − r0` is known, and is shared out over the cable moved,
 * `T = (rmax − r0) + (rmax − rc)`.
 */
export function measureHomecoming(run: Run, standing: readonly Entry[]): Homecoming {
  const zeroFt = run.zero.readingFt;
  const farthestFt = farthestReadingFt(run, standing);
  const home = standing.findLast((entry) => entry.kind === 'home' && entry.readingFt !== null);
  const homeFt = home?.readingFt ?? null;
  const misclosureFt = homeFt === null ? 0 : homeFt - zeroFt;
  const cableFt = farthestFt - zeroFt + (farthestFt - (homeFt ?? zeroFt));
  const allowedFt = TOLERANCES.homecomingFt + TOLERANCES.homecomingRatio * farthestFt;
  return {
    zeroFt,
    farthestFt,
    homeFt,
    misclosureFt,
    cableFt,
    excessive: Math.abs(misclosureFt) > allowedFt,
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
  return readingFt - home.misclosureFt * slipShare(home, pass, readingFt, slipOn);
}
