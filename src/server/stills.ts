import { createHash } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { findMedia } from './media';

/** Stills as a PDF takes them. */
export type PdfStills = Map<string, { data: Buffer; format: 'jpg' | 'png' }>;

const FORMATS: Readonly<Record<string, 'jpg' | 'png'>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
};

/** The stills of a job that the server has, by id; others are left out. */
export function loadStills(
  db: Database,
  folder: string,
  jobId: string,
  ids: readonly string[],
): PdfStills {
  const stills: PdfStills = new Map();
  for (const id of ids) {
    const media = findMedia(db, folder, jobId, id);
    const format = media ? FORMATS[media.type] : undefined;
    if (media && format) stills.set(id, { data: media.bytes, format });
  }
  return stills;
}

/** The hash of a still's bytes as the server has them now; `null` when it is gone. */
export function hashOfStill(db: Database, folder: string, jobId: string) {
  return (id: string): string | null => {
    const media = findMedia(db, folder, jobId, id);
    return media ? createHash('sha256').update(media.bytes).digest('hex') : null;
  };
}
