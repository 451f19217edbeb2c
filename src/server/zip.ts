import type { Database } from 'better-sqlite3';
import { zipSync } from 'fflate';
import { type Entry, fromBufferPromise, type ZipFile } from 'yauzl';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { MEDIA_HEAD_BYTES, mediaTypeOf } from '#core/interchange/media-type';
import type { Inspection } from '#core/model/job/inspection';
import { Refusal } from './http/answer';
import { BODY_LIMITS, MEGABYTE } from './http/limits';
import { findMedia } from './media/media';
import type { MediaStores } from './media/store';

/** The inspection file's name in a zip. */
const FILE = 'inspection.chert.json';
const FOLDER = 'media/';
/** Names stills that the log has and the server does not. */
const MISSING = 'missing.txt';
/** What a zip may unpack to, and how many times its own size. */
const MOST_BYTES = 400 * MEGABYTE;
const MOST_FILES = 2000;
const MOST_RATIO = 100;
/** No time of its own: the same job gives the same zip. The oldest that the format knows. */
const MTIME = new Date('1980-01-02T00:00:00Z');

/** Ids of every still and voice note that a job's entries name. */
function mediaIdsOf({ runs }: Inspection): string[] {
  const ids = runs.flatMap(({ entries }) =>
    entries.flatMap(({ photoIds = [], audioId }) =>
      audioId === undefined ? photoIds : [...photoIds, audioId],
    ),
  );
  return [...new Set(ids)];
}

/**
 * Packs a job whole: its inspection file, and its stills and voice notes by their ids.
 *
 * @param nameOf what the file calls an id, where it had another.
 */
export async function packJob(
  db: Database,
  stores: MediaStores,
  inspection: Inspection,
  file: Inspection,
  nameOf: (id: string) => string,
): Promise<Buffer> {
  const text = (value: string) => [Buffer.from(value), { mtime: MTIME, level: 6 }] as const;
  const files: Record<string, readonly [Uint8Array, { mtime: Date; level: 0 | 6 }]> = {
    [FILE]: text(writeInspectionFile(file)),
  };
  const gone: string[] = [];
  for (const id of mediaIdsOf(inspection)) {
    const media = await findMedia(db, stores, inspection.job.id, id);
    const name = `${FOLDER}${encodeURIComponent(nameOf(id))}`;
    // Stills are packed already.
    if (media) files[name] = [media.bytes, { mtime: MTIME, level: 0 }];
    else gone.push(nameOf(id));
  }
  if (gone.length > 0) files[MISSING] = text(`These stills are gone:\n${gone.join('\n')}\n`);
  return Buffer.from(zipSync(files as Parameters<typeof zipSync>[0]));
}

/** A still or a voice note in a zip, by the id that the file has for it. */
export type PackedMedia = { readonly id: string; readonly type: string; readonly bytes: Buffer };

/** A zip that was looked through: nothing in it is larger than it may be, or other than it may be. */
export type PackedJob = {
  readonly text: string;
  /** Stills and voice notes, unpacked one at a time. */
  readonly media: () => AsyncGenerator<PackedMedia>;
};

const refuse = (expected: string, got: string) =>
  new Refusal(
    400,
    'bad-input',
    `The zip was not read: expected ${expected}, got ${got}. Nothing was stored.`,
  );

const isMedia = ({ fileName }: Entry) => fileName.startsWith(FOLDER) && !fileName.endsWith('/');

/** Opens a zip with its directory read and found to be of a size that can be unpacked. */
async function open(bytes: Buffer): Promise<{ zip: ZipFile; entries: Entry[] }> {
  // A stream that gives more than its directory said ends with an error.
  const options = { lazyEntries: true, validateEntrySizes: true, autoClose: false };
  const zip = await fromBufferPromise(bytes, options);
  if (zip.entryCount > MOST_FILES)
    throw refuse(`at most ${MOST_FILES} files in it`, String(zip.entryCount));
  const entries: Entry[] = [];
  let size = 0;
  for await (const entry of zip.eachEntry()) {
    size += entry.uncompressedSize;
    const most = isMedia(entry) ? BODY_LIMITS.media : BODY_LIMITS.file;
    if (entry.uncompressedSize > most)
      throw refuse(`${entry.fileName} of at most ${most / MEGABYTE} MB`, 'more');
    if (size > MOST_BYTES || size > bytes.byteLength * MOST_RATIO)
      throw refuse(
        `at most ${MOST_BYTES / MEGABYTE} MB, and ${MOST_RATIO} times its own size`,
        'more',
      );
    entries.push(entry);
  }
  return { zip, entries };
}

/** Unpacks a file of a zip, or only so much of its head. */
async function unpack(zip: ZipFile, entry: Entry, mostBytes = Infinity): Promise<Buffer> {
  const stream = await zip.openReadStreamPromise(entry);
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    chunks.push(chunk);
    size += chunk.byteLength;
    if (size >= mostBytes) break;
  }
  return Buffer.concat(chunks);
}

/** The id that a file's name stands for; a name that was never encoded stands for itself. */
function idOfName(fileName: string): string {
  const name = fileName.slice(FOLDER.length);
  try {
    return decodeURIComponent(name);
  } catch {
    return name;
  }
}

async function readThrough(bytes: Buffer): Promise<PackedJob> {
  const { zip, entries } = await open(bytes);
  const file = entries.find(({ fileName }) => fileName === FILE);
  if (!file) {
    const names = entries.slice(0, 3).map(({ fileName }) => fileName);
    throw refuse(`${FILE} in it`, names.join(', ') || 'no such file');
  }
  const media = entries.filter(isMedia);
  for (const entry of media)
    if (mediaTypeOf(await unpack(zip, entry, MEDIA_HEAD_BYTES)) === null)
      throw refuse('stills and sounds', `${entry.fileName}, which is neither`);
  return {
    text: (await unpack(zip, file)).toString('utf8'),
    async *media() {
      for (const entry of media) {
        const content = await unpack(zip, entry);
        const type = mediaTypeOf(content);
        if (type !== null) yield { id: idOfName(entry.fileName), type, bytes: content };
      }
    },
  };
}

/**
 * Looks through a job's zip. What is larger than it may be, or neither its file nor a still or sound that
 * Chert keeps, is refused by name.
 */
export async function unpackJob(bytes: Buffer): Promise<PackedJob> {
  try {
    return await readThrough(bytes);
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw refuse('a whole zip file', error instanceof Error ? error.message : 'something else');
  }
}
