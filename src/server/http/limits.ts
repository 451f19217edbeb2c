import { MEDIA_MOST_BYTES } from '#core/interchange/media-type';

export const MEGABYTE = 1024 * 1024;

/** The most that a request's body may have, bytes. A log of 5,000 entries is about 2 MB. */
export const BODY_LIMITS = {
  /** An entry, edits, a form. */
  record: 1 * MEGABYTE,
  file: 16 * MEGABYTE,
  /** A job with its stills. */
  zip: 256 * MEGABYTE,
  media: MEDIA_MOST_BYTES,
} as const;
