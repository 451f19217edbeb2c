import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { writeWhole } from '../write-whole';

/** What came of the last backup. */
export type LastBackup = {
  /** When the last one that is whole was made; `null` when none was. */
  readonly at: string | null;
  /** Why the last try failed; `null` when it did not. */
  readonly trouble: string | null;
};

const LAST_FILE = 'last.json';
/** A backup is due a day after the last; a try that failed is made again after an hour. */
const DAY_MS = 24 * 3_600_000;

/** The folder of backups: `CHERT_BACKUPS`, else `backups` in the data folder. */
export function backupsFolder(dataFolder: string): string {
  const said = process.env['CHERT_BACKUPS'];
  return said ? resolve(said) : join(dataFolder, 'backups');
}

export function readLast(folder: string): LastBackup {
  const path = join(folder, LAST_FILE);
  if (!existsSync(path)) return { at: null, trouble: null };
  return JSON.parse(readFileSync(path, 'utf8')) as LastBackup;
}

export function writeLast(folder: string, last: LastBackup): void {
  writeWhole(join(folder, LAST_FILE), Buffer.from(`${JSON.stringify(last)}\n`));
}

/** Whether the next backup is due. */
export function isDue({ at }: LastBackup, nowMs: number): boolean {
  return at === null || nowMs - Date.parse(at) >= DAY_MS;
}
