/** The types of stills and voice notes that Chert keeps. */
export type MediaType =
  'image/jpeg' | 'image/png' | 'audio/webm' | 'audio/ogg' | 'audio/mp4' | 'audio/wav';
/** The types of recordings that a browser shows. */
export type VideoType = 'video/webm' | 'video/mp4' | 'video/ogg';

type Signature = {
  readonly type: MediaType;
  readonly at: number;
  readonly bytes: readonly number[];
};

const text = (said: string) => Array.from(said, (letter) => letter.charCodeAt(0));

/** First bytes as the formats' own specifications give them. */
const SIGNATURES: readonly Signature[] = [
  { type: 'image/jpeg', at: 0, bytes: [0xff, 0xd8, 0xff] },
  { type: 'image/png', at: 0, bytes: [0x89, ...text('PNG'), 0x0d, 0x0a, 0x1a, 0x0a] },
  // EBML, the container that browsers record sound into.
  { type: 'audio/webm', at: 0, bytes: [0x1a, 0x45, 0xdf, 0xa3] },
  { type: 'audio/ogg', at: 0, bytes: text('OggS') },
  { type: 'audio/mp4', at: 4, bytes: text('ftyp') },
  { type: 'audio/wav', at: 8, bytes: text('WAVE') },
];

/** How many first bytes tell the type of a file. */
export const MEDIA_HEAD_BYTES = 12;
/** The largest still or voice note that is taken, bytes. */
export const MEDIA_MOST_BYTES = 10 * 1024 * 1024;

/** The type of a file by its first bytes, whatever it is called; `null` when it is none that is kept. */
export function mediaTypeOf(head: Uint8Array): MediaType | null {
  const found = SIGNATURES.find(({ at, bytes }) =>
    bytes.every((byte, index) => head[at + index] === byte),
  );
  return found?.type ?? null;
}

/** The containers that hold sound hold pictures as well. */
const VIDEO_OF: Partial<Record<MediaType, VideoType>> = {
  'audio/webm': 'video/webm',
  'audio/mp4': 'video/mp4',
  'audio/ogg': 'video/ogg',
};

/** The type of a recording by its first bytes; `null` when it is none that a browser shows. */
export function videoTypeOf(head: Uint8Array): VideoType | null {
  const type = mediaTypeOf(head);
  return type === null ? null : (VIDEO_OF[type] ?? null);
}
