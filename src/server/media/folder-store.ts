import { closeSync, mkdirSync, openSync, readSync } from 'node:fs';
import { readFile, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { threadId } from 'node:worker_threads';
import { writeWhole } from '../write-whole';
import { type MediaStore, nameOfContent } from './store';

/** The folder of contents in a data folder, and in a folder of backups. */
export const MEDIA_FOLDER = 'media';

/** Where a content lies in a data folder or a folder of backups: the same one once for all that name it. */
export const placeOfContent = (folder: string, sha256: string): string =>
  join(folder, MEDIA_FOLDER, nameOfContent(sha256));

const isGone = (error: unknown) => (error as { readonly code?: string }).code === 'ENOENT';

/** What was read; `null` where there is no file. */
async function ifThere<Found>(read: () => Promise<Found>): Promise<Found | null> {
  try {
    return await read();
  } catch (error) {
    if (isGone(error)) return null;
    throw error;
  }
}

/** Contents as files of a data folder, or of a folder of backups. */
export function folderStore(folder: string): MediaStore {
  const fileOf = (sha256: string) => placeOfContent(folder, sha256);
  const write = (file: string, bytes: Uint8Array) => {
    mkdirSync(dirname(file), { recursive: true });
    writeWhole(file, bytes);
  };
  return {
    keep: async (sha256, bytes) => write(fileOf(sha256), bytes),
    read: (sha256) => ifThere(() => readFile(fileOf(sha256))),
    // At once: whoever walks a recording reads 32 bytes some 200,000 times.
    readPart: (sha256, from, length) =>
      ifThere(async () => {
        const handle = openSync(fileOf(sha256), 'r');
        try {
          const bytes = new Uint8Array(length);
          return bytes.subarray(0, readSync(handle, bytes, 0, length, from));
        } finally {
          closeSync(handle);
        }
      }),
    sizeOf: (sha256) => ifThere(async () => (await stat(fileOf(sha256))).size),
    remove: (sha256) => rm(fileOf(sha256), { force: true }),
    async probe() {
      // Of this thread's own: another may be looking too.
      const file = join(folder, MEDIA_FOLDER, `.probe-${threadId}`);
      write(file, Buffer.from('probe'));
      await rm(file);
    },
  };
}
