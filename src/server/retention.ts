import { rmSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { Temporal } from 'temporal-polyfill';
import { pieceOf } from '#core/interchange/recording-piece';
import { noteDeed } from './deeds';
import { pathOfMedia } from './media';
import { prepared } from './prepared';

type Row = { readonly jobId: string; readonly id: string; readonly type: string };

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

/**
 * Removes voice notes and recordings of jobs whose report was issued and whose time is over by so many months. Stills,
 * logs and reports stay. Each removal is told in the job's history.
 *
 * @param today `YYYY-MM-DD`.
 * @returns how many files went.
 */
export function removeOld(
  db: Database,
  dataFolder: string,
  months: number,
  { today, now }: { readonly today: string; readonly now: string },
): number {
  const until = Temporal.PlainDate.from(today).subtract({ months }).toString();
  const rows = prepared<[string], Row>(
    db,
    `SELECT media.job_id AS jobId, media.id, media.type FROM media JOIN jobs ON jobs.id = media.job_id
     WHERE media.removed_at IS NULL AND media.type NOT LIKE 'image/%'
       AND coalesce(jobs.period_ends_on, substr(jobs.scheduled_for, 1, 10)) < ?
       AND EXISTS (SELECT 1 FROM issued WHERE issued.job_id = jobs.id)`,
  ).all(until);
  for (const jobId of new Set(rows.map((row) => row.jobId))) {
    const own = rows.filter((row) => row.jobId === jobId);
    for (const { id } of own) rmSync(pathOfMedia(dataFolder, jobId, id).file, { force: true });
    db.transaction(() => {
      const note = prepared(db, 'UPDATE media SET removed_at = ? WHERE job_id = ? AND id = ?');
      for (const { id } of own) note.run(now, jobId, id);
      noteDeed(db, jobId, { what: 'media-removed', detail: sayRemoved(own) }, null, now);
    }).immediate();
  }
  return rows.length;
}
