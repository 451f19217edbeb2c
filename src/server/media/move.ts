import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';
import { type ContentRow, hashOf, type MediaStores } from './store';

/** How much lies in a place. */
export type InPlace = { readonly place: string; readonly contents: number; readonly bytes: number };

/** Where contents lie, each counted once. */
export const listPlaces = (db: Database): InPlace[] =>
  prepared<[], InPlace>(
    db,
    `SELECT place, count(*) AS contents, coalesce(sum(bytes), 0) AS bytes
     FROM (SELECT DISTINCT place, sha256, bytes FROM media WHERE removed_at IS NULL)
     GROUP BY place ORDER BY place`,
  ).all();

/** What came of moving: contents moved, and what is on record and was not to be had, or is not what it was. */
export type Moved = { readonly contents: number; readonly lost: readonly ContentRow[] };

/**
 * Moves every content that lies elsewhere to where new ones go, one after another, while Chert runs: written and
 * looked at there first, then its rows, and only then taken out where it was. What was moved once is not moved again.
 *
 * @param tell told how many are done, of how many.
 * @throws {StoreTrouble} when a bucket does not answer: what was moved until then is moved.
 */
export async function moveMedia(
  db: Database,
  stores: MediaStores,
  tell: (done: number, of: number) => void = () => undefined,
): Promise<Moved> {
  const { current, at } = stores;
  const rows = prepared<[string], ContentRow>(
    db,
    'SELECT DISTINCT sha256, bytes, place FROM media WHERE place <> ? AND removed_at IS NULL ORDER BY sha256',
  ).all(current);
  const lost: ContentRow[] = [];
  for (const [index, row] of rows.entries()) {
    const { sha256, place } = row;
    const bytes = await at(place).read(sha256);
    if (!bytes || hashOf(bytes) !== sha256) lost.push(row);
    else {
      await at(current).keep(sha256, bytes);
      if ((await at(current).sizeOf(sha256)) !== bytes.byteLength)
        throw new Error(`${current || 'the data folder'}: ${sha256} was written and is not whole`);
      prepared(db, 'UPDATE media SET place = ? WHERE sha256 = ? AND place = ?').run(
        current,
        sha256,
        place,
      );
      await at(place).remove(sha256);
    }
    tell(index + 1, rows.length);
  }
  return { contents: rows.length - lost.length, lost };
}
