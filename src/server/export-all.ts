import { appendFileSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import { pieceOf } from '#core/interchange/recording-piece';
import { listContacts } from './contacts';
import { listHistory } from './history';
import { loadInspection } from './inspections';
import { writeInvoices } from './invoices';
import { listIssued } from './issued';
import { findMedia } from './media/media';
import type { MediaStores } from './media/store';
import { prepared } from './prepared';

/** What was written, and what was on record and not to be had. */
export type Exported = {
  readonly jobs: number;
  readonly files: number;
  readonly missing: readonly string[];
};

const ENDINGS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'video/webm': 'webm',
  'video/mp4': 'mp4',
  'video/ogg': 'ogv',
  'audio/mp4': 'm4a',
};
const endingOf = (type: string) => ENDINGS[type] ?? type.split('/').at(-1)!.replace(/\W/g, '');
/** A name that every file system takes. */
const safe = (text: string) =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N} ._-]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[ .]+|[ .]+$/g, '')
    .slice(0, 80) || 'x';

type MediaRow = { readonly id: string; readonly type: string };

/** Stills and voices by their ids, and each recording as one file, its pieces in a row as they were sent. */
async function writeMedia(
  db: Database,
  stores: MediaStores,
  jobId: string,
  folder: string,
): Promise<{ readonly files: number; readonly missing: string[] }> {
  const rows = prepared<[string], MediaRow>(
    db,
    'SELECT id, type FROM media WHERE job_id = ? AND removed_at IS NULL ORDER BY id',
  ).all(jobId);
  const missing: string[] = [];
  const written = new Set<string>();
  // A piece in the middle tells no type: the first of a recording does.
  const endings = new Map<string, string>();
  for (const { id, type } of rows) {
    const piece = pieceOf(id);
    if (piece && !endings.has(piece.recordingId))
      endings.set(piece.recordingId, piece.number === 0 ? endingOf(type) : 'part');
    const name = piece
      ? `recording ${safe(piece.recordingId)}.${endings.get(piece.recordingId)!}`
      : `${safe(id)}.${endingOf(type)}`;
    const media = await findMedia(db, stores, jobId, id);
    if (!media) {
      missing.push(`${jobId}: ${id}`);
      continue;
    }
    mkdirSync(folder, { recursive: true });
    const file = join(folder, name);
    if (written.has(name)) appendFileSync(file, media.bytes);
    else {
      rmSync(file, { force: true });
      writeFileSync(file, media.bytes);
    }
    written.add(name);
  }
  return { files: written.size, missing };
}

function writeIssued(db: Database, jobId: string, folder: string): number {
  let files = 0;
  const read = prepared<[string, number], { name: string; bytes: Buffer }>(
    db,
    'SELECT name, bytes FROM issued_files WHERE job_id = ? AND number = ? ORDER BY name',
  );
  for (const { number } of listIssued(db, jobId)) {
    const version = join(folder, `version ${number}`);
    mkdirSync(version, { recursive: true });
    for (const { name, bytes } of read.all(jobId, number)) {
      writeFileSync(join(version, safe(name)), bytes);
      files += 1;
    }
  }
  return files;
}

/**
 * Writes everything as files that need no Chert to be read: for each job its inspection file, stills, voices,
 * recordings, issued papers and history; contacts, fees and invoice numbers beside them.
 *
 * @param folder where to; what is there under the same names is written over.
 */
export async function exportAll(
  db: Database,
  stores: MediaStores,
  folder: string,
): Promise<Exported> {
  mkdirSync(folder, { recursive: true });
  const missing: string[] = [];
  let files = 2;
  const jobs = prepared<[], { id: string; title: string; day: string }>(
    db,
    `SELECT id, title, substr(scheduled_for, 1, 10) AS day FROM jobs
     WHERE removed_at IS NULL ORDER BY scheduled_for, id`,
  ).all();
  for (const { id, title, day } of jobs) {
    const inspection = loadInspection(db, id);
    if (!inspection) continue;
    // Two jobs of one day and title are told apart by the end of their ids.
    const own = join(folder, `${day} ${safe(title)} ${safe(id.slice(-8))}`);
    mkdirSync(own, { recursive: true });
    writeFileSync(join(own, 'inspection.chert.json'), writeInspectionFile(inspection));
    writeFileSync(join(own, 'history.json'), JSON.stringify(listHistory(db, id), null, 2));
    const media = await writeMedia(db, stores, id, join(own, 'media'));
    missing.push(...media.missing);
    files += 2 + media.files + writeIssued(db, id, join(own, 'issued'));
  }
  writeFileSync(join(folder, 'contacts.json'), JSON.stringify(listContacts(db), null, 2));
  writeFileSync(
    join(folder, 'fees and invoices.csv'),
    writeInvoices(db, '0000-01-01', '9999-12-31'),
  );
  return { jobs: jobs.length, files, missing };
}
