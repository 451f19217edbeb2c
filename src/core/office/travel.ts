/** Where something is: degrees north and east. */
export type Place = { readonly lat: number; readonly lon: number };

/** What a way is reckoned by; there is no map. */
export type Travel = {
  /** Road miles for each mile as the crow flies. */
  readonly factor: number;
  /** Miles an hour, in and out of towns. */
  readonly mph: number;
  /** Minutes to park and unload, at each stop. */
  readonly stopMin: number;
  /** Minutes where nobody said where one of the two is. */
  readonly unknownMin: number;
};

/**
 * Roads are some 1.3 to 1.4 times as long as the straight line in American towns; a day of short ways is driven at
 * about 28 miles an hour. Both are assumptions that Settings show and let change.
 */
export const USUAL_TRAVEL: Travel = { factor: 1.35, mph: 28, stopMin: 5, unknownMin: 25 };

const EARTH_MILES = 3958.8;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Miles as the crow flies, by the haversine formula (Sinnott, *Virtues of the haversine*, 1984). */
export function milesBetween(a: Place, b: Place): number {
  const across = Math.sin(radians(b.lat - a.lat) / 2) ** 2;
  const along = Math.sin(radians(b.lon - a.lon) / 2) ** 2;
  const share = across + Math.cos(radians(a.lat)) * Math.cos(radians(b.lat)) * along;
  return 2 * EARTH_MILES * Math.asin(Math.min(1, Math.sqrt(share)));
}

/** Whole minutes from one place to another, parking counted; `unknownMin` where one of them is not known. */
export function travelMin(from: Place | null, to: Place | null, travel: Travel): number {
  if (!from || !to) return travel.unknownMin;
  const roadMiles = milesBetween(from, to) * travel.factor;
  return Math.ceil((roadMiles / travel.mph) * 60 + travel.stopMin);
}

/** A place as people write it: "45.52, -122.68"; `null` for anything else. */
export function readPlace(text: string): Place | null {
  const found = /^\s*(-?\d{1,2}(?:\.\d+)?)\s*[,; ]\s*(-?\d{1,3}(?:\.\d+)?)\s*$/.exec(text);
  if (!found) return null;
  const [lat, lon] = [Number(found[1]), Number(found[2])];
  return Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? { lat, lon } : null;
}
