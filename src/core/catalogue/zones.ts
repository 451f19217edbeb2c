import type { Caution } from './caution';

/** What a zone has in common with others. */
export type ZoneTrait = 'indoor' | 'paved' | 'right-of-way';

/** What lies over a stretch of the line. */
export type ZoneSpec = {
  /** The trade's name ("Driveway"), and the buyer's. */
  readonly name: string;
  readonly buyerName: string;
  /** Where something lies, as it follows a footage ("at 57 ft, under the driveway"). */
  readonly place: string;
  /** How inspectors say it, in the notation of sayings. */
  readonly said: string;
  /** How a call-out writes it, where its code would not be read back. */
  readonly written?: string;
  readonly traits: readonly ZoneTrait[];
  readonly caution?: Caution;
};

const STREET_WORK: Caution = { about: 'Street work', text: 'Traffic control, and a permit.' };

/** Every zone, from the house to the street. */
export const ZONE_SPECS = {
  'under-house': {
    name: 'Under the house',
    buyerName: 'house',
    place: 'under the house',
    said: '{under|below|beneath} {house|slab|building|home|floor}|house|slab|building',
    written: 'under the house',
    traits: ['indoor'],
  },
  crawlspace: {
    name: 'Crawlspace',
    buyerName: 'crawlspace',
    place: 'in the crawlspace',
    said: 'crawlspace|crawl space|crawl',
    traits: ['indoor'],
    caution: { about: 'Crawlspace', text: 'Air, wiring, animals; not alone.' },
  },
  basement: {
    name: 'Basement',
    buyerName: 'basement',
    place: 'in the basement',
    said: 'basement|cellar',
    traits: ['indoor'],
    caution: { about: 'Electrics', text: 'Keep water and wiring apart.' },
  },
  patio: {
    name: 'Patio',
    buyerName: 'patio',
    place: 'under the patio',
    said: 'patio|deck',
    traits: ['paved'],
  },
  yard: {
    name: 'Yard',
    buyerName: 'yard',
    place: 'under the yard',
    said: 'yard|{front|back|side} yard|lawn|garden|grass',
    traits: [],
  },
  driveway: {
    name: 'Driveway',
    buyerName: 'driveway',
    place: 'under the driveway',
    said: 'driveway|drive|drive way',
    traits: ['paved'],
  },
  strip: {
    name: 'Strip',
    buyerName: 'strip by the street',
    place: 'under the strip by the street',
    said: 'strip|parkway|verge|tree lawn|planting strip|grass strip',
    traits: ['right-of-way'],
    caution: STREET_WORK,
  },
  walk: {
    name: 'Walk',
    buyerName: 'sidewalk',
    place: 'under the sidewalk',
    said: 'walk|sidewalk|side walk|walkway|footpath|public walk',
    traits: ['paved', 'right-of-way'],
    caution: STREET_WORK,
  },
  street: {
    name: 'Street',
    buyerName: 'street',
    place: 'under the street',
    said: 'street|road|roadway|alley',
    traits: ['paved', 'right-of-way'],
    caution: STREET_WORK,
  },
} as const satisfies Record<string, ZoneSpec>;

export type Zone = keyof typeof ZONE_SPECS;
export const ZONES = Object.keys(ZONE_SPECS) as Zone[];

export const zoneOf = (zone: Zone): ZoneSpec => ZONE_SPECS[zone];
export const zonesWith = (trait: ZoneTrait): readonly Zone[] =>
  ZONES.filter((zone) => zoneOf(zone).traits.includes(trait));
/** A zone in the trade's words ("Driveway"). */
export const nameZone = (zone: Zone): string => zoneOf(zone).name;
