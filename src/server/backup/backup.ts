import { createHash } from 'node:crypto';
import {
  createReadStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
} from 'node:fs';
import { rename } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Sqlite, { type Database } from 'better-sqlite3';
import { DATABASE_FILE } from '../data-folder';
import { installationOf } from '../installation';
import { folderStore, MEDIA_FOLDER, placeOfContent } from '../media/folder-store';
import {
  type ContentRow,
  fromItsPlace,
  hashOf,
  IN_FOLDER,
  type MediaStore,
  type MediaStores,
} from '../media/store';
import { SECURITY, SECURITY_FILE } from '../security/security-database';
import { writeWhole } from '../write-whole';
import { type Manifest, MANIFEST_FILE, nameOf, namesToKeep, timeOfName } from './manifest';

/** All pages in one step: a step that the database does not change under is never begun anew. */
const ALL_PAGES = 2 ** 31 - 1;

/** The end of the name of a backup that is being made. */
const HALF = '.part';

type MediaRow = ContentRow & { readonly jobId: string; readonly id: string };

/** SHA-256 and length of a file, read bit by bit. */
export async function hashFile(path: string): Promise<{ sha256: string; bytes: number }> {
  const hash = createHash('sha256');
  let bytes = 0;
  await pipeline(createReadStream(path), async (chunks) => {
    for await (const chunk of chunks as AsyncIterable<Buffer>) {
      hash.update(chunk);
      bytes += chunk.byteLength;
    }
  });
  return { sha256: hash.digest('hex'), bytes };
}

/** Keeps a content once for all backups beside each other; whether it is there, and is what its row says. */
async function keepContent(stores: MediaStores, kept: MediaStore, row: MediaRow): Promise<boolean> {
  if ((await kept.sizeOf(row.sha256)) === row.bytes) return true;
  const bytes = await fromItsPlace(stores, row, ({ read }) => read(row.sha256));
  if (!bytes || hashOf(bytes) !== row.sha256) return false;
  await kept.keep(row.sha256, bytes);
  return true;
}

/** Throws unless a database file is whole. */
function checkDatabase(path: string): number {
  const copy = new Sqlite(path, { readonly: true });
  try {
    const said = copy.pragma('integrity_check', { simple: true });
    if (said !== 'ok') throw new Error(`${path}: the copy is not whole: ${String(said)}`);
    return copy.pragma('user_version', { simple: true }) as number;
  } finally {
    copy.close();
  }
}

/** Makes one file of a copy of what grants access. Links that wait to be mailed are no part of a backup. */
function closeCopy(path: string): void {
  const copy = new Sqlite(path);
  copy.pragma('journal_mode = DELETE');
  copy.exec('DELETE FROM hidden_links');
  copy.close();
}

/** What to back up, and how. */
export type BackupWish = {
  /** The folder of backups; the new one gets a folder in it. */
  readonly folder: string;
  readonly at: string;
  /** Leaves contents of buckets where they are: the manifest names them, and a restore leaves them there. */
  readonly leavesBuckets?: boolean;
};

/**
 * Backs up a running Chert: the database by SQLite's online backup, each still once by its content, and a
 * manifest with the hashes of all. Nothing that was acknowledged before it began is missing.
 *
 * @param db a connection of its own, so that nobody waits for it.
 * @returns the backup's name.
 * @throws {StoreTrouble} when a bucket does not answer: there is no backup then.
 */
export async function backUp(
  db: Database,
  stores: MediaStores,
  { folder, at, leavesBuckets = false }: BackupWish,
): Promise<string> {
  const name = nameOf(at);
  const half = join(folder, `${name}${HALF}`);
  mkdirSync(half, { recursive: true });
  try {
    const copy = join(half, DATABASE_FILE);
    await db.backup(copy, { progress: () => ALL_PAGES });
    // One file by itself, and stills of just the rows that are in it.
    const security = join(half, SECURITY_FILE);
    // The types of the library leave out the name of an attached database.
    const attached = { progress: () => ALL_PAGES, attached: SECURITY } as object;
    await db.backup(security, attached as Sqlite.BackupOptions);
    closeCopy(security);
    const made = new Sqlite(copy);
    made.pragma('journal_mode = DELETE');
    const rows = made
      .prepare<[], MediaRow>(
        'SELECT job_id AS jobId, id, sha256, bytes, place FROM media WHERE removed_at IS NULL ORDER BY job_id, id',
      )
      .all();
    const { id: installation } = installationOf(made);
    made.close();
    const media: MediaRow[] = [];
    const elsewhere: MediaRow[] = [];
    const missing: Manifest['missing'][number][] = [];
    const kept = folderStore(folder);
    for (const row of rows) {
      if (leavesBuckets && row.place !== IN_FOLDER) elsewhere.push(row);
      else if (await keepContent(stores, kept, row)) media.push(row);
      else missing.push({ jobId: row.jobId, id: row.id });
    }
    const manifest: Manifest = {
      format: 'chert-backup',
      version: 1,
      at,
      installation,
      databaseVersion: checkDatabase(copy),
      database: await hashFile(copy),
      security: await hashFile(security),
      media,
      elsewhere,
      missing,
    };
    writeWhole(join(half, MANIFEST_FILE), Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`));
    await rename(half, join(folder, name));
    return name;
  } catch (error) {
    rmSync(half, { recursive: true, force: true });
    throw error;
  }
}

/** Takes out what a backup left that was killed while it was being made. */
export function clearHalf(folder: string): void {
  for (const name of readdirSync(folder))
    if (name.endsWith(HALF) && timeOfName(name.slice(0, -HALF.length)) !== null)
      rmSync(join(folder, name), { recursive: true, force: true });
}

/** The backups of a folder, the latest first. */
export function listBackups(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => timeOfName(name) !== null)
    .sort()
    .reverse();
}

export function readManifest(folder: string, name: string): Manifest {
  const path = join(folder, name, MANIFEST_FILE);
  const manifest = JSON.parse(readFileSync(path, 'utf8')) as Manifest;
  const { format, version }: { format: unknown; version: unknown } = manifest;
  if (format !== 'chert-backup' || version !== 1)
    throw new Error(`${path}: expected the manifest of a Chert backup, version 1`);
  return manifest;
}

/**
 * Reads a backup again, every byte of it.
 *
 * @returns what is not as it was written; empty when all is.
 */
export async function verifyBackup(folder: string, name: string): Promise<string[]> {
  const faults: string[] = [];
  const manifest = readManifest(folder, name);
  const check = async (path: string, { sha256, bytes }: { sha256: string; bytes: number }) => {
    if (!existsSync(path)) return void faults.push(`${path} is gone`);
    const found = await hashFile(path);
    if (found.sha256 !== sha256 || found.bytes !== bytes) faults.push(`${path} has been changed`);
  };
  await check(join(folder, name, DATABASE_FILE), manifest.database);
  if (manifest.security) await check(join(folder, name, SECURITY_FILE), manifest.security);
  for (const row of manifest.media) await check(placeOfContent(folder, row.sha256), row);
  if (faults.length === 0) checkDatabase(join(folder, name, DATABASE_FILE));
  return faults;
}

/** Takes out backups that need not be kept (`namesToKeep`), and stills that no backup names any more. */
export function prune(folder: string, days: number): void {
  const names = listBackups(folder);
  const kept = namesToKeep(names, days);
  for (const name of names)
    if (!kept.has(name)) rmSync(join(folder, name), { recursive: true, force: true });
  const named = new Set(
    [...kept].flatMap((name) => readManifest(folder, name).media.map(({ sha256 }) => sha256)),
  );
  const media = join(folder, MEDIA_FOLDER);
  if (!existsSync(media)) return;
  for (const group of readdirSync(media))
    for (const file of readdirSync(join(media, group)))
      if (!named.has(file)) rmSync(join(media, group, file), { force: true });
}
