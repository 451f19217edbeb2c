import type { Place } from '../office/travel';

const DAY_MS = 86_400_000;
const radians = (degrees: number) => (degrees * Math.PI) / 180;
const degrees = (angle: number) => (angle * 180) / Math.PI;
/** The sun's upper edge at the horizon, with the air's refraction: degrees. */
const HORIZON_DEG = -0.833;
/** Where nobody said where a house is: the middle of the country, in the middle of its time zone. */
const USUAL_LATITUDE = 40;
/** Minutes that the sun takes for a degree. */
const MIN_PER_DEG = 4;

/**
 * Sunrise and sunset, minutes of the clock from midnight, by the general solar position equations of NOAA's Global
 * Monitoring Division (fractional year, equation of time, declination): right within some minutes in the lower 48 states.
 *
 * @param day `YYYY-MM-DD`.
 * @param place `null` where nobody knows: then up to an hour off.
 * @param offsetMin how far the clock there is ahead of UTC, minutes; −480 for `-08:00`.
 * @returns noon twice where the sun does not rise, noon and twelve hours to each side where it does not set.
 */
export function daylightOf(
  day: string,
  place: Place | null,
  offsetMin: number,
): { readonly riseMin: number; readonly setMin: number } {
  const ms = Date.parse(`${day}T12:00:00Z`);
  const newYearMs = Date.parse(`${day.slice(0, 4)}-01-01T12:00:00Z`);
  const angle = (2 * Math.PI * Math.round((ms - newYearMs) / DAY_MS)) / 365;
  const declination =
    0.006918 -
    0.399912 * Math.cos(angle) +
    0.070257 * Math.sin(angle) -
    0.006758 * Math.cos(2 * angle) +
    0.000907 * Math.sin(2 * angle) -
    0.002697 * Math.cos(3 * angle) +
    0.00148 * Math.sin(3 * angle);
  const sunAheadMin =
    229.18 *
    (0.000075 +
      0.001868 * Math.cos(angle) -
      0.032077 * Math.sin(angle) -
      0.014615 * Math.cos(2 * angle) -
      0.040849 * Math.sin(2 * angle));
  const noonMin = place ? 720 - MIN_PER_DEG * place.lon - sunAheadMin + offsetMin : 720;
  const at = radians(place?.lat ?? USUAL_LATITUDE);
  const share =
    Math.cos(radians(90 - HORIZON_DEG)) / (Math.cos(at) * Math.cos(declination)) -
    Math.tan(at) * Math.tan(declination);
  const half = share >= 1 ? 0 : share <= -1 ? 720 : MIN_PER_DEG * degrees(Math.acos(share));
  return { riseMin: Math.round(noonMin - half), setMin: Math.round(noonMin + half) };
}

/** How far a clock is ahead of UTC, minutes, as an instant says: `2026-11-03T09:00:00-08:00` is −480. */
export function offsetOf(instant: string): number {
  const [, sign, hours, minutes] = /([+-])(\d{2}):(\d{2})$/.exec(instant) ?? [];
  const size = Number(hours ?? 0) * 60 + Number(minutes ?? 0);
  return sign === '-' ? -size : size;
}
