export const OCCUPANCIES = ['occupied', 'vacant', 'unknown'] as const;
export const FOUNDATIONS = ['slab', 'crawlspace', 'basement', 'unknown'] as const;
export const FLOORS = ['above-rim', 'below-rim'] as const;
export const HISTORY_KINDS = ['cleaned', 'repaired', 'lined', 'permit', 'backup'] as const;

/** The house whose lateral is scoped. */
export type Property = {
  readonly address: string;
  /** Degrees north and east, for the ways of a day. */
  readonly position?: { readonly lat: number; readonly lon: number };
  readonly yearBuilt?: number;
  readonly households: number;
  readonly bathrooms?: number;
  readonly occupancy: (typeof OCCUPANCIES)[number];
  readonly foundation: (typeof FOUNDATIONS)[number];
  readonly frontFaces?: string;
  /** Whether the lowest floor with a drain lies below the rim of the next manhole. */
  readonly lowestFloor?: (typeof FLOORS)[number];
  /** Whether another house's line joins before the main. */
  readonly sharedLine?: boolean;
  /** Whether water from the roof or a sump runs into the sewer. */
  readonly rainTiedIn?: boolean;
  /** Whether a local rule wants proof of the lateral at a sale. */
  readonly proofAtSale?: boolean;
  /** What the seller states of the sewer, and who has insured the line, in words. */
  readonly sellerSays?: string;
  readonly serviceCover?: string;
  readonly history?: readonly {
    readonly on?: string;
    readonly what: (typeof HISTORY_KINDS)[number];
    readonly note: string;
  }[];
  /** What was seen on the walk over the line, before the camera gave it a footage. */
  readonly surroundings?: readonly Surrounding[];
};

/** Something over or near the line: tree, hedge, sunken-ground, wet-ground, buried-cleanout … */
export type Surrounding = {
  readonly id: string;
  readonly what: string;
  /** Where it stands, in words ("by the driveway"). */
  readonly where: string;
  /** Distance to the side of the line, feet. */
  readonly offsetFt?: number;
};
