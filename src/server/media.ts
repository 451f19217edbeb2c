import { createHash } from 'node:crypto';
import {
  mkdirSync,
  openSync,
  closeSync,
  fsyncSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type { Stored } from './parts';

export type Media = { readonly type: string; readonly bytes: Buffer };

/** File names from ids that may hold anything: hashed, so no id can point elsewhere. */
function pathOf(folder: string, jobId: string, id: string): { dir: string; file: string } {
  const name = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 40);
  const dir = join(folder, 'media', name(jobId));
  return { dir, file: join(dir, name(id)) };
}

/**
 * Stores a still or a voice note: the file whole on the disk first, then its row. The same one sent
 * twice is stored once.
 *
 * @param folder the data folder.
 */
export function storeMedia(
  db: Database,
  folder: string,
  place: { readonly jobId: string; readonly id: string },
  media: Media,
  receivedAt: string,
): Stored {
  const { jobId, id } = place;
  const sha256 = createHash('sha256').update(media.bytes).digest('hex');
  const known = db
    .prepare<[string, string], { sha256: string }>(
      'SELECT sha256 FROM media WHERE job_id = ? AND id = ?',
    )
    .get(jobId, id);
  if (known) return known.sha256 === sha256 ? 'known' : 'conflict';
  const { dir, file } = pathOf(folder, jobId, id);
  mkdirSync(dir, { recursive: true });
  const half = `${file}.part`;
  try {
    const handle = openSync(half, 'w');
    try {
      writeSync(handle, media.bytes);
      fsyncSync(handle);
    } finally {
      closeSync(handle);
    }
    renameSync(half, file);
  } catch (error) {
    rmSync(half, { force: true });
    throw error;
  }
  db.prepare(
    'INSERT INTO media (job_id, id, type, bytes, sha256, received_at) VALUES (?, ?, ?, ?, ?, ?)',
  ).run(jobId, id, media.type, media.bytes.byteLength, sha256, receivedAt);
  return 'stored';
}

/** A stored still or voice note; `null` when there is none. */
export function findMedia(db: Database, folder: string, jobId: string, id: string): Media | null {
  const row = db
    .prepare<[string, string], { type: string }>(
      'SELECT type FROM media WHERE job_id = ? AND id = ?',
    )
    .get(jobId, id);
  return row ? { type: row.type, bytes: readFileSync(pathOf(folder, jobId, id).file) } : null;
}
