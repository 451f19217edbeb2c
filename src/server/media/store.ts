import { createHash } from 'node:crypto';

/** Keeps contents by their SHA-256 in hex: the same one once, whoever names it. All but `keep` change nothing. */
export type MediaStore = {
  /** Keeps a content whole, or throws and keeps nothing of it. One that is there is written anew. */
  readonly keep: (sha256: string, bytes: Uint8Array) => Promise<void>;
  /** The whole content; `null` when it is not there. */
  readonly read: (sha256: string) => Promise<Buffer | null>;
  /** So many bytes of it from a place on, fewer at its end; `null` when it is not there. */
  readonly readPart: (sha256: string, from: number, length: number) => Promise<Uint8Array | null>;
  /** Its length, bytes; `null` when it is not there. */
  readonly sizeOf: (sha256: string) => Promise<number | null>;
  /** Takes it out; nothing happens when it is not there. */
  readonly remove: (sha256: string) => Promise<void>;
  /** Writes and takes out something small; throws where that cannot be done. */
  readonly probe: () => Promise<void>;
};

/** The place of the data folder in a row's `place`; others are addresses of buckets. */
export const IN_FOLDER = '';

/** Every place that contents may lie in, and the one that new ones go to. */
export type MediaStores = {
  readonly current: string;
  /** @throws when a place is none that is known here. */
  readonly at: (place: string) => MediaStore;
};

/** What is on record of a content: what it is, how long, and where it lies. */
export type ContentRow = {
  readonly sha256: string;
  readonly bytes: number;
  readonly place: string;
};

/** Reads where a content lies, and then where contents are moved to: it may have been moved just now. */
export async function fromItsPlace<Found>(
  { current, at }: MediaStores,
  { place }: ContentRow,
  read: (store: MediaStore) => Promise<Found | null>,
): Promise<Found | null> {
  return (await read(at(place))) ?? (place === current ? null : read(at(current)));
}

/** A place that cannot be reached now: what lies there is not lost, and nothing was stored. */
export class StoreTrouble extends Error {}

export const hashOf = (bytes: Uint8Array | string): string =>
  createHash('sha256').update(bytes).digest('hex');

/** The name of a content in a store: a folder of some 256, then its hash. */
export const nameOfContent = (sha256: string): string => `${sha256.slice(0, 2)}/${sha256}`;
