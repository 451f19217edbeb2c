import { dataFolder } from '../database';
import { type Bucket, bucketStore } from './bucket-store';
import { folderStore } from './folder-store';
import { IN_FOLDER, type MediaStore, type MediaStores } from './store';

/** `s3://bucket` or `s3://bucket/in/here`: bucket names as every such service takes them. */
const ADDRESS = /^s3:\/\/([a-z0-9][a-z0-9.-]{1,61}[a-z0-9])(?:\/(.*?))?\/?$/;

/**
 * The bucket of an address.
 *
 * @throws when it is not written as one.
 */
function bucketOf(address: string): Bucket {
  const [, name, inside = ''] = ADDRESS.exec(address) ?? [];
  if (name === undefined)
    throw new Error(
      `CHERT_MEDIA: expected s3://bucket or s3://bucket/folder, got ${address}. Leave it out to keep stills and recordings in the data folder`,
    );
  return { name, prefix: inside === '' ? '' : `${inside}/` };
}

const withoutSlash = (address: string) => address.replace(/\/+$/, '');

/**
 * The places of a data folder's contents: the folder itself, and any bucket that its rows name.
 *
 * @param said `CHERT_MEDIA`: where new ones go; the folder while it says nothing. What lies elsewhere stays there.
 * @throws when it names no bucket.
 */
export function mediaIn(folder: string, said?: string): MediaStores {
  const current = said ? withoutSlash(said) : IN_FOLDER;
  if (current !== IN_FOLDER) bucketOf(current);
  const opened = new Map<string, MediaStore>([[IN_FOLDER, folderStore(folder)]]);
  const at = (place: string): MediaStore => {
    const store = opened.get(place) ?? bucketStore(bucketOf(place));
    opened.set(place, store);
    return store;
  };
  return { current, at };
}

let shared: MediaStores | null = null;

/** Where this Chert's stills, voices and recordings lie; opened at first use. */
export function mediaStores(): MediaStores {
  shared ??= mediaIn(dataFolder(), process.env['CHERT_MEDIA']);
  return shared;
}
