import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmdirSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { MEDIA_FOLDER, placeOfContent } from './folder-store';
import { IN_FOLDER } from './store';

type Row = {
  readonly jobId: string;
  readonly id: string;
  readonly sha256: string;
  readonly bytes: number;
};

const EARLIER_FOLDER = /^[0-9a-f]{40}$/;
const earlierName = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 40);

/** Files of an earlier Chert, which lay by job and id, are put where contents lie now. A file cut short stays. */
export function adoptEarlier(db: Database, dataFolder: string): void {
  const media = join(dataFolder, MEDIA_FOLDER);
  if (!existsSync(media)) return;
  const folders = readdirSync(media).filter((name) => EARLIER_FOLDER.test(name));
  if (folders.length === 0) return;
  const rows = db
    .prepare<[string], Row>('SELECT job_id AS jobId, id, sha256, bytes FROM media WHERE place = ?')
    .all(IN_FOLDER);
  for (const { jobId, id, sha256, bytes } of rows) {
    const from = join(media, earlierName(jobId), earlierName(id));
    if (!existsSync(from) || statSync(from).size !== bytes) continue;
    const to = placeOfContent(dataFolder, sha256);
    mkdirSync(dirname(to), { recursive: true });
    if (existsSync(to)) rmSync(from);
    else renameSync(from, to);
  }
  for (const name of folders)
    if (readdirSync(join(media, name)).length === 0) rmdirSync(join(media, name));
}
