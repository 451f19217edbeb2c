import type { Material } from '../catalogue/materials/index';
import type { Zone } from '../catalogue/zones';
import type { AccessPoint } from '../model/job/access-point';
import type { Property } from '../model/job/property';
import type { Run } from '../model/job/run';
import type { EntryBase } from '../model/log/entry-base';
import type { DefectEntry } from '../model/log/kinds/defect';
import type { FeatureEntry } from '../model/log/kinds/feature';

export const LATERAL_FORMAT = 'chert-lateral';

/** A length of one pipe, from where the one before it ends (or the line begins). */
export type TruthPipe = {
  /** Station at which it ends, feet from the upstream end of its line. */
  readonly toFt: number;
  readonly material: Material;
  /** Inside diameter, inches. */
  readonly diameterIn: number;
  /** Distance from joint to joint, feet; absent: no joints to be seen. */
  readonly jointEveryFt?: number;
  /** Height of the edge that stands up where this pipe begins, inches. */
  readonly lipIn?: number;
  readonly joint?: 'smooth' | 'lip' | 'coupling';
};

/** Something wrong, in the words and sizes of the log; `toFt` is the far end of a stretch. */
export type TruthDefect = { readonly atFt: number; readonly toFt?: number } & Omit<
  DefectEntry,
  keyof EntryBase | 'kind' | 'toReadingFt' | 'open' | 'lengthFt' | 'sizeBasis' | 'ourDoing'
>;

/** Something that belongs there. Clock as seen facing downstream. */
export type TruthFeature = { readonly atFt: number } & Omit<
  FeatureEntry,
  keyof EntryBase | 'kind'
> & {
    /** Radius of a bend's centre line, inches; absent: one and a half bores. */
    readonly radiusIn?: number;
  };

/** What lies overhead, up to a station. */
export type TruthZone = { readonly toFt: number; readonly zone: Zone };

/** A stretch, feet along a line. */
export type TruthStretch = { readonly fromFt: number; readonly toFt: number };

/** Where a line ends downstream. */
export type TruthOutlet = {
  readonly kind: 'main' | 'tank' | 'join';
  /** Bore of what it opens into, inches. */
  readonly diameterIn: number;
  /** Still level in it above the line's invert there, inches; 0 when it drains freely. */
  readonly levelIn: number;
};

/** One path of pipe. Stations run downstream from 0 at its upstream end. */
export type TruthLine = {
  readonly id: string;
  readonly label: string;
  readonly joins?: { readonly lineId: string; readonly atFt: number };
  readonly lengthFt: number;
  readonly outlet: TruthOutlet;
  /** What the camera meets at the upstream end. */
  readonly head: 'vent' | 'trap' | 'other';
  /** Direction in plan in which the line leaves, degrees clockwise from the street's normal. */
  readonly headingDeg: number;
  /** Invert: pairs of station (ft) and level (in, below 0 is lower), straight between them. */
  readonly invert: readonly (readonly [atFt: number, levelIn: number])[];
  /** Ground over the line, level on the same datum, inches. */
  readonly ground: readonly (readonly [atFt: number, levelIn: number])[];
  readonly pipes: readonly TruthPipe[];
  readonly zones: readonly TruthZone[];
  readonly features: readonly TruthFeature[];
  readonly defects: readonly TruthDefect[];
  /** Where what stands is too cloudy to see through. */
  readonly murky: readonly TruthStretch[];
  readonly surface: readonly {
    readonly atFt: number;
    readonly what: string;
    readonly offsetFt: number;
  }[];
  /** Where nothing can be located from above, and why. */
  readonly blocked: readonly (TruthStretch & { readonly by: string })[];
};

/** Where the camera goes in, and the pipe that leads down to the line. */
export type TruthAccess = Omit<AccessPoint, 'along'> & {
  readonly lineId: string;
  readonly atFt: number;
  /** Ways that its fitting lets a camera go. */
  readonly ways: readonly Run['facing'][];
  readonly dropFt: number;
  readonly bendsDeg: readonly number[];
  readonly bendRadiusIn: number;
};

/** Something that lets water into a line. */
export type TruthFixture = {
  readonly name: string;
  readonly lineId: string;
  readonly atFt: number;
  /** Flow while it runs, US gallons a minute. */
  readonly flowGpm: number;
};

/** Something above ground that will not move, in plan, feet; x along the street's normal, y to the right. */
export type Landmark = { readonly name: string; readonly xFt: number; readonly yFt: number };

/** A lateral as it really is. Chert never shows it on Scope; the rig's camera looks at it. */
export type LateralTruth = {
  readonly format: typeof LATERAL_FORMAT;
  readonly version: 1;
  readonly id: string;
  readonly title: string;
  /** What can be learned on it, for whoever picks one. Tells nothing of what is wrong. */
  readonly about: string;
  readonly property: Pick<
    Property,
    'yearBuilt' | 'households' | 'bathrooms' | 'occupancy' | 'foundation'
  >;
  readonly cleanedBefore: Run['cleanedBefore'];
  readonly lines: readonly TruthLine[];
  readonly accesses: readonly TruthAccess[];
  readonly fixtures: readonly TruthFixture[];
  readonly landmarks: readonly Landmark[];
};
