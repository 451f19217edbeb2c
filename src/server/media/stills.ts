import type { Database } from 'better-sqlite3';
import { findMedia } from './media';
import { hashOf, type MediaStores } from './store';

/** Stills as a PDF takes them. */
export type PdfStills = Map<string, { data: Buffer; format: 'jpg' | 'png' }>;

const FORMATS: Readonly<Record<string, 'jpg' | 'png'>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
};

/** The stills of a job that the server has, by id; others are left out. */
export async function loadStills(
  db: Database,
  stores: MediaStores,
  jobId: string,
  ids: readonly string[],
): Promise<PdfStills> {
  const stills: PdfStills = new Map();
  for (const id of ids) {
    const media = await findMedia(db, stores, jobId, id);
    const format = media ? FORMATS[media.type] : undefined;
    if (media && format) stills.set(id, { data: media.bytes, format });
  }
  return stills;
}

/** The hash of a still's bytes as they are now; `null` when it is gone. */
export function hashOfStill(db: Database, stores: MediaStores, jobId: string) {
  return async (id: string): Promise<string | null> => {
    const media = await findMedia(db, stores, jobId, id);
    return media ? hashOf(media.bytes) : null;
  };
}
