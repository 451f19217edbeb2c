import type { Database } from 'better-sqlite3';
import { unzipSync, zipSync } from 'fflate';
import { writeInspectionFile } from '#core/formats/inspection-file';
import { mediaTypeOf } from '#core/formats/media-type';
import type { Inspection } from '#core/job/inspection';
import { Refusal } from './http/answer';
import { findMedia } from './media';

/** The inspection file's name in a zip. */
const FILE = 'inspection.chert.json';
const FOLDER = 'media/';
/** Names stills that the log has and the server does not. */
const MISSING = 'missing.txt';
const MEGABYTE = 1024 * 1024;
/** What a zip may unpack to: its directory is believed only within this. */
const MOST_BYTES = 400 * MEGABYTE;
const MOST_FILES = 2000;
/** No time of its own: the same job gives the same zip. The oldest that the format knows. */
const MTIME = new Date('1980-01-02T00:00:00Z');

/** Ids of every still and voice note that a job's entries name. */
function mediaIdsOf({ runs }: Inspection): string[] {
  const ids = runs.flatMap(({ entries }) =>
    entries.flatMap(({ photoIds, audioId }) => [...(photoIds ?? []), ...(audioId ? [audioId] : [])]),
  );
  return [...new Set(ids)];
} // prettier-ignore

/** Packs a job whole: its inspection file, and its stills and voice notes by their ids. */
export function packJob(db: Database, folder: string, inspection: Inspection): Buffer {
  const files: Record<string, [Uint8Array, { mtime: Date; level: 0 | 6 }]> = {
    [FILE]: [Buffer.from(writeInspectionFile(inspection)), { mtime: MTIME, level: 6 }],
  };
  const gone: string[] = [];
  for (const id of mediaIdsOf(inspection)) {
    const media = findMedia(db, folder, inspection.job.id, id);
    // Stills are packed already.
    if (media) files[`${FOLDER}${encodeURIComponent(id)}`] = [media.bytes, { mtime: MTIME, level: 0 }];
    else gone.push(id);
  }
  if (gone.length > 0)
    files[MISSING] = [Buffer.from(`These stills are gone:\n${gone.join('\n')}\n`), { mtime: MTIME, level: 6 }]; // prettier-ignore
  return Buffer.from(zipSync(files));
} // prettier-ignore

export type Unpacked = {
  readonly text: string;
  readonly media: readonly { readonly id: string; readonly type: string; readonly bytes: Buffer }[];
};

const refuse = (expected: string, got: string) =>
  new Refusal(400, 'bad-input', `The zip was not read: expected ${expected}, got ${got}. Nothing was stored.`); // prettier-ignore

/** Unpacks a job's zip. What is neither its file nor a still or sound that Chert keeps is refused by name. */
export function unpackJob(bytes: Buffer): Unpacked {
  let size = 0;
  let count = 0;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(new Uint8Array(bytes), {
      filter: ({ name, originalSize }) => {
        size += originalSize;
        count += 1;
        if (size > MOST_BYTES || count > MOST_FILES) throw refuse(`at most ${MOST_BYTES / MEGABYTE} MB in ${MOST_FILES} files`, 'more'); // prettier-ignore
        return name === FILE || (name.startsWith(FOLDER) && !name.endsWith('/'));
      },
    });
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw refuse('a whole zip file', error instanceof Error ? error.message : 'something else');
  }
  const file = files[FILE];
  if (!file)
    throw refuse(`${FILE} in it`, Object.keys(files).slice(0, 3).join(', ') || 'no such file');
  const media = Object.entries(files).flatMap(([name, content]) => {
    if (name === FILE) return [];
    const type = mediaTypeOf(content);
    if (type === null) throw refuse('stills and sounds', `${name}, which is neither`);
    return [{ id: decodeURIComponent(name.slice(FOLDER.length)), type, bytes: Buffer.from(content) }]; // prettier-ignore
  });
  return { text: Buffer.from(file).toString('utf8'), media };
}
