import type { EntryBase } from '../entry-base';

/** Distance from something that will not move. */
export type Swing = { readonly from: string; readonly distanceFt: number };

/** The camera head found from the surface. */
export type LocateEntry = EntryBase & {
  readonly kind: 'locate';
  /** Depth to the head, inches; with `depthToIn` a range. Absent: only the place was confirmed, or `blockedBy` says why. */
  readonly depthIn?: number;
  readonly depthToIn?: number;
  /** The entry whose place this confirms. */
  readonly confirms?: string;
  readonly mark?: string;
  readonly reference?: string;
  readonly swings?: readonly Swing[];
  /** Ground level above the job's datum, inches; may be below it. */
  readonly groundIn?: number;
  /** Position by the device, where allowed. (`at` is taken: it is every entry's time.) */
  readonly position?: {
    readonly latDeg: number;
    readonly lonDeg: number;
    readonly accuracyFt?: number;
  };
  readonly blockedBy?: string;
};

/** Something outside the pipe, over or near the line. */
export type SurfaceEntry = EntryBase & {
  readonly kind: 'surface';
  /** tree, hedge, sunken-ground, wet-ground, buried-cleanout, or another word. */
  readonly what: string;
  /** Distance to the side of the line, feet. */
  readonly offsetFt?: number;
  /** The thing of the walk over the line (`property.surroundings`) that this gives a footage. */
  readonly seenOnWalk?: string;
};
