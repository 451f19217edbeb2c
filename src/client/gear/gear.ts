import type { Pass } from '#core/catalogue/vocabulary';
import type { LocateReading } from '#core/simulator/locator';

/** What a counter tells. */
export type CounterReading = { readonly readingFt: number; readonly pass: Pass };

/** A reel's counter. */
export type CounterGear = {
  readonly read: () => CounterReading;
  /** Calls back at every change; returns what stops that. */
  readonly listen: (hear: (reading: CounterReading) => void) => () => void;
  readonly zero: () => void;
};

/** A camera's picture. */
export type PictureGear = {
  /** Shows the picture in an element for as long as it is wanted; returns what takes it down. */
  readonly showIn: (host: HTMLElement) => () => void;
  /** The picture of now as JPEG; `null` when there is none. */
  readonly still: () => Promise<Blob | null>;
  /** The picture as a stream to be recorded; `null` when there is none yet. */
  readonly stream: () => MediaStream | null;
};

/** A locator over the head. */
export type LocatorGear = { readonly locate: () => LocateReading };

/**
 * What stands between Scope and the things in the inspector's hands. Any part may be missing: then it is
 * typed, chosen from a file, or said, as without gear.
 */
export type Gear = {
  readonly name: string;
  readonly counter: CounterGear | null;
  readonly picture: PictureGear | null;
  readonly locator: LocatorGear | null;
  readonly dispose: () => void;
};
