import type { Pass } from '../catalogue/vocabulary';

/** Where a camera is in its run: how far it has been, and on which pass it counts as being. */
export type PassState = { readonly pass: Pass; readonly farthestFt: number };

/** Pulled back this far from the farthest place, the camera is on its way home, feet. */
const COMING_HOME_FT = 1.5;

/**
 * Follows which pass a camera is on.
 *
 * A short pull to look again is still the way out; new ground always is.
 */
export function followPass({ pass, farthestFt }: PassState, headFt: number): PassState {
  if (headFt > farthestFt) return { pass: 'out', farthestFt: headFt };
  return { pass: headFt < farthestFt - COMING_HOME_FT ? 'back' : pass, farthestFt };
}
