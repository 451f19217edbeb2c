import { accessOf } from '../catalogue/access/kinds';
import type { AccessPoint } from '../model/job/access-point';
import type { Property } from '../model/job/property';

/** What a look takes before anything is known of the house, minutes: find the access, run out and back, pack up. */
const BARE_MIN = 60;
const ACCESS_MIN = 20;
const HOUSEHOLD_MIN = 15;
/** On a ladder, with somebody to hold it. */
const ROOF_MIN = 20;
/** Nobody knows where to go in: it is looked for. */
const SEARCH_MIN = 15;
/** Crawling in and out. */
const CRAWL_MIN = 10;
const STEP_MIN = 15;
const LEAST_MIN = 45;
const MOST_MIN = 240;

export type LengthFacts = {
  readonly property: Pick<Property, 'households' | 'foundation'>;
  readonly accessPoints: readonly Pick<AccessPoint, 'kind' | 'usable'>[];
  /** What the last look at the same property took, minutes; `null` where there was none. */
  readonly lastMin: number | null;
};

const upTo = (minutes: number) => Math.ceil(minutes / STEP_MIN) * STEP_MIN;

/**
 * How long a look will take, minutes in quarters of an hour: from the house and its ways in, and half of it from the
 * last look at the same property where there was one.
 */
export function lengthOf({ property, accessPoints, lastMin }: LengthFacts): number {
  const ways = accessPoints.filter(({ usable }) => usable);
  const guess =
    BARE_MIN +
    Math.max(0, ways.length - 1) * ACCESS_MIN +
    Math.max(0, property.households - 1) * HOUSEHOLD_MIN +
    (ways.some(({ kind }) => accessOf(kind).isOnRoof) ? ROOF_MIN : 0) +
    (ways.length === 0 ? SEARCH_MIN : 0) +
    (property.foundation === 'crawlspace' ? CRAWL_MIN : 0);
  const minutes = lastMin === null ? guess : (guess + lastMin) / 2;
  return Math.min(MOST_MIN, Math.max(LEAST_MIN, upTo(minutes)));
}
