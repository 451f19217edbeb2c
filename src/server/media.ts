import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { pieceOf } from '#core/interchange/recording-piece';
import { revOf, type Step, stepJob } from './jobs';
import type { Stored } from './parts';
import { prepared } from './prepared';
import { writeWhole } from './write-whole';

export type Media = { readonly type: string; readonly bytes: Buffer };

/** Where a still lies. File names are hashes of ids, which may hold anything: none can point elsewhere. */
export function pathOfMedia(
  folder: string,
  jobId: string,
  id: string,
): { readonly dir: string; readonly file: string } {
  const name = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 40);
  const dir = join(folder, 'media', name(jobId));
  return { dir, file: join(dir, name(id)) };
}

/** A piece of a recording tells no page anything new. */
const tellsPages = (id: string) => pieceOf(id) === null;

/**
 * Stores a still, a voice note or a piece of a recording: the file whole on the disk first, then its row. The same one sent
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
): Step & { readonly outcome: Stored } {
  const { jobId, id } = place;
  const here = revOf(db, jobId) ?? 0;
  const still = (outcome: Stored) => ({ outcome, before: here, rev: here });
  const sha256 = createHash('sha256').update(media.bytes).digest('hex');
  const known = prepared<[string, string], { sha256: string }>(
    db,
    'SELECT sha256 FROM media WHERE job_id = ? AND id = ?',
  ).get(jobId, id);
  if (known && known.sha256 !== sha256) return still('conflict');
  if (known && findMedia(db, folder, jobId, id)) return still('known');
  const { dir, file } = pathOfMedia(folder, jobId, id);
  mkdirSync(dir, { recursive: true });
  writeWhole(file, media.bytes);
  // On record already, but its file was gone: now it is back.
  if (known) return still('stored');
  const step = db.transaction(() => {
    prepared(
      db,
      'INSERT INTO media (job_id, id, type, bytes, sha256, received_at) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(jobId, id, media.type, media.bytes.byteLength, sha256, receivedAt);
    return tellsPages(id) ? stepJob(db, jobId) : { before: here, rev: here };
  });
  return { outcome: 'stored', ...step.immediate() };
}

/** A still that is on record but whose file is missing, or is not what it was. */
export class MediaGone extends Error {}

/**
 * A stored still or voice note; `null` when there is none.
 *
 * @throws {MediaGone} when there was one and its file is missing or cut short.
 */
export function readMedia(db: Database, folder: string, jobId: string, id: string): Media | null {
  const row = prepared<[string, string], { type: string; bytes: number }>(
    db,
    'SELECT type, bytes FROM media WHERE job_id = ? AND id = ?',
  ).get(jobId, id);
  if (!row) return null;
  const bytes = readIfThere(pathOfMedia(folder, jobId, id).file);
  if (bytes?.byteLength !== row.bytes) throw new MediaGone(`still ${id} of job ${jobId} is gone`);
  return { type: row.type, bytes };
}

/** A stored still or voice note; `null` when there is none, or when its file is gone. */
export function findMedia(db: Database, folder: string, jobId: string, id: string): Media | null {
  try {
    return readMedia(db, folder, jobId, id);
  } catch (error) {
    if (error instanceof MediaGone) return null;
    throw error;
  }
}

function readIfThere(file: string): Buffer | null {
  try {
    return readFileSync(file);
  } catch (error) {
    if ((error as { code?: unknown }).code === 'ENOENT') return null;
    throw error;
  }
}
