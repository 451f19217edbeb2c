import { clamp } from '../base/numbers';

const GALLONS_PER_CUBIC_FOOT = 7.480519;

/**
 * Share of a round bore's area that is wet at a depth ratio h/D.
 *
 * Circular segment: θ = 2·acos(1 − 2h/D), area share (θ − sin θ)/2π.
 *
 * @param fillRatio depth ÷ inside diameter, held to 0…1.
 */
export function wettedAreaRatio(fillRatio: number): number {
  const theta = wettedAngleRad(fillRatio);
  return (theta - Math.sin(theta)) / (2 * Math.PI);
}

/** Angle at the centre of the wetted arc, radians, 0…2π. */
export function wettedAngleRad(fillRatio: number): number {
  return 2 * Math.acos(1 - 2 * clamp(fillRatio, 0, 1));
}

/** Water held by a stretch of level fill, US gallons. `boreIn` in inches, `lengthFt` in feet. */
export function heldVolumeGal(fillRatio: number, boreIn: number, lengthFt: number): number {
  const areaSqFt = (Math.PI / 4) * (boreIn / 12) ** 2 * wettedAreaRatio(fillRatio);
  return areaSqFt * lengthFt * GALLONS_PER_CUBIC_FOOT;
}
