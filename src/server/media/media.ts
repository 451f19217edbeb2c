import type { Database } from 'better-sqlite3';
import { pieceOf } from '#core/interchange/recording-piece';
import { revEvenRemoved, type Step, stepJob } from '../jobs';
import type { Stored } from '../parts';
import { prepared } from '../prepared';
import { type ContentRow, fromItsPlace, hashOf, type MediaStores } from './store';

export type Media = { readonly type: string; readonly bytes: Buffer };

/** What is on record of a still, a voice note or a piece of a recording. */
type MediaRow = ContentRow & { readonly type: string; readonly removedAt: string | null };

const rowOf = (db: Database, jobId: string, id: string): MediaRow | undefined =>
  prepared<[string, string], MediaRow>(
    db,
    'SELECT type, bytes, sha256, place, removed_at AS removedAt FROM media WHERE job_id = ? AND id = ?',
  ).get(jobId, id);

/** A piece of a recording tells no page anything new. */
const tellsPages = (id: string) => pieceOf(id) === null;

/** Whether what a row names is there as it was, or was removed and is not wanted back. */
async function isSettled(stores: MediaStores, row: MediaRow): Promise<boolean> {
  return row.removedAt !== null || (await stores.at(row.place).sizeOf(row.sha256)) === row.bytes;
}

/** Keeps a content whole where contents are kept now. */
export async function keepContent(
  stores: MediaStores,
  bytes: Buffer,
): Promise<{ readonly sha256: string; readonly place: string }> {
  const sha256 = hashOf(bytes);
  await stores.at(stores.current).keep(sha256, bytes);
  return { sha256, place: stores.current };
}

type Content = ContentRow & { readonly type: string };

/** Puts a content that is kept already on record as a still of a job; whether it is new there. */
export function storeContentRow(
  db: Database,
  { jobId, id }: { readonly jobId: string; readonly id: string },
  { type, bytes, sha256, place }: Content,
  receivedAt: string,
): boolean {
  const { changes } = prepared(
    db,
    `INSERT INTO media (job_id, id, type, bytes, sha256, place, received_at) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO NOTHING`,
  ).run(jobId, id, type, bytes, sha256, place, receivedAt);
  if (changes === 1 && tellsPages(id)) stepJob(db, jobId);
  return changes === 1;
}

/**
 * Stores a still, a voice note or a piece of a recording: its content whole where contents are kept first, then its
 * row. The same one sent twice is stored once.
 *
 * @param onStored called in the transaction that stores its row, where it is new.
 * @throws {StoreTrouble} where contents go to a bucket that does not answer; nothing was stored then.
 */
export async function storeMedia(
  db: Database,
  stores: MediaStores,
  { jobId, id }: { readonly jobId: string; readonly id: string },
  media: Media,
  receivedAt: string,
  onStored: () => void = () => undefined,
): Promise<Step & { readonly outcome: Stored }> {
  const noStep = (): Step => {
    const here = revEvenRemoved(db, jobId) ?? 0;
    return { before: here, rev: here };
  };
  const unchanged = (outcome: Stored) => ({ outcome, ...noStep() });
  const sha256 = hashOf(media.bytes);
  const known = rowOf(db, jobId, id);
  if (known && known.sha256 !== sha256) return unchanged('conflict');
  if (known && (await isSettled(stores, known))) return unchanged('known');
  await keepContent(stores, media.bytes);
  return db
    .transaction(() => {
      const { changes } = prepared(
        db,
        `INSERT INTO media (job_id, id, type, bytes, sha256, place, received_at) VALUES (?, ?, ?, ?, ?, ?, ?)
         ON CONFLICT DO NOTHING`,
      ).run(jobId, id, media.type, media.bytes.byteLength, sha256, stores.current, receivedAt);
      if (changes === 1) onStored();
      if (changes === 1)
        return { outcome: 'stored' as const, ...(tellsPages(id) ? stepJob(db, jobId) : noStep()) };
      // On record already: its content was gone and is back, or somebody else stored one meanwhile.
      if (rowOf(db, jobId, id)!.sha256 !== sha256) return unchanged('conflict');
      prepared(db, 'UPDATE media SET place = ? WHERE job_id = ? AND id = ?').run(
        stores.current,
        jobId,
        id,
      );
      return unchanged('stored');
    })
    .immediate();
}

/** A still that is on record but whose content is missing, or is not what it was. */
export class MediaGone extends Error {}

/**
 * A stored still or voice note; `null` when there is none.
 *
 * @throws {MediaGone} when there was one and its content is missing or cut short.
 * @throws {StoreTrouble} when it lies in a bucket that does not answer.
 */
export async function readMedia(
  db: Database,
  stores: MediaStores,
  jobId: string,
  id: string,
): Promise<Media | null> {
  const row = rowOf(db, jobId, id);
  if (!row) return null;
  const bytes = await fromItsPlace(stores, row, ({ read }) => read(row.sha256));
  if (bytes?.byteLength !== row.bytes) throw new MediaGone(`still ${id} of job ${jobId} is gone`);
  return { type: row.type, bytes };
}

/** A stored still or voice note; `null` when there is none, or when its content is gone. */
export async function findMedia(
  db: Database,
  stores: MediaStores,
  jobId: string,
  id: string,
): Promise<Media | null> {
  try {
    return await readMedia(db, stores, jobId, id);
  } catch (error) {
    if (error instanceof MediaGone) return null;
    throw error;
  }
}
