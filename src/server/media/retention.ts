import type { Database } from 'better-sqlite3';
import { Temporal } from 'temporal-polyfill';
import { pieceOf } from '#core/interchange/recording-piece';
import { noteDeed } from '../deeds';
import { prepared } from '../prepared';
import type { ContentRow, MediaStores } from './store';

type Row = ContentRow & { readonly jobId: string; readonly id: string; readonly type: string };

const count = (number: number, one: string) => `${number} ${one}${number === 1 ? '' : 's'}`;

/** What was removed of a job, in words. */
function sayRemoved(rows: readonly Row[]): string {
  const recordings = new Set(rows.flatMap(({ id }) => pieceOf(id)?.recordingId ?? []));
  const others = rows.filter(({ id }) => !pieceOf(id));
  const voices = others.filter(({ type }) => type.startsWith('audio/')).length;
  const videos = recordings.size + others.length - voices;
  return [
    ...(voices > 0 ? [count(voices, 'voice note')] : []),
    ...(videos > 0 ? [count(videos, 'recording')] : []),
  ].join(' and ');
}

/** Takes out the contents of rows of one job, but for what other rows name as well. */
async function removeContents(
  db: Database,
  stores: MediaStores,
  jobId: string,
  rows: readonly Row[],
): Promise<void> {
  const own = new Set(rows.map(({ id }) => id));
  const namers = prepared<[string, string], { jobId: string; id: string }>(
    db,
    'SELECT job_id AS jobId, id FROM media WHERE sha256 = ? AND place = ? AND removed_at IS NULL',
  );
  for (const { sha256, place } of rows) {
    const isWanted = namers
      .all(sha256, place)
      .some((namer) => namer.jobId !== jobId || !own.has(namer.id));
    if (!isWanted) await stores.at(place).remove(sha256);
  }
}

/**
 * Removes voice notes and recordings of jobs whose report was issued and whose time is over by so many months. Stills,
 * logs and reports stay. Each removal is told in the job's history.
 *
 * @param today `YYYY-MM-DD`.
 * @returns how many went.
 * @throws {StoreTrouble} where one lies in a bucket that does not answer: it stays, and goes the next time.
 */
export async function removeOld(
  db: Database,
  stores: MediaStores,
  months: number,
  { today, now }: { readonly today: string; readonly now: string },
): Promise<number> {
  const until = Temporal.PlainDate.from(today).subtract({ months }).toString();
  const rows = prepared<[string], Row>(
    db,
    `SELECT media.job_id AS jobId, media.id, media.type, media.sha256, media.bytes, media.place
     FROM media JOIN jobs ON jobs.id = media.job_id
     WHERE media.removed_at IS NULL AND media.type NOT LIKE 'image/%'
       AND coalesce(jobs.period_ends_on, substr(jobs.scheduled_for, 1, 10)) < ?
       AND EXISTS (SELECT 1 FROM issued WHERE issued.job_id = jobs.id)`,
  ).all(until);
  for (const jobId of new Set(rows.map((row) => row.jobId))) {
    const own = rows.filter((row) => row.jobId === jobId);
    await removeContents(db, stores, jobId, own);
    db.transaction(() => {
      const note = prepared(db, 'UPDATE media SET removed_at = ? WHERE job_id = ? AND id = ?');
      for (const { id } of own) note.run(now, jobId, id);
      noteDeed(db, jobId, { what: 'media-removed', detail: sayRemoved(own) }, null, now);
    }).immediate();
  }
  return rows.length;
}
