import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { writeWhole } from '../write-whole';

/** What came of the last backup. */
export type LastBackup = {
  /** When the last one that is whole was made; `null` when none was. */
  readonly at: string | null;
  /** Why the last try failed; `null` when it did not. */
  readonly trouble: string | null;
  /** When the last try that failed was made; absent where none did. */
  readonly triedAt?: string;
};

const LAST_FILE = 'last.json';
const HOUR_MS = 3_600_000;
/** Without a time of day a backup is due a day after the last; a try that failed is made again after an hour. */
const DAY_MS = 24 * HOUR_MS;
/** What `CHERT_BACKUPS` says where somebody else makes the backups. */
const OFF = 'off';

/** Whether Chert makes backups by itself. */
export const makesBackups = (): boolean => process.env['CHERT_BACKUPS'] !== OFF;

/** The folder of backups: `CHERT_BACKUPS`, else `backups` in the data folder. */
export function backupsFolder(dataFolder: string): string {
  const said = process.env['CHERT_BACKUPS'];
  return said && makesBackups() ? resolve(said) : join(dataFolder, 'backups');
}

export function readLast(folder: string): LastBackup {
  const path = join(folder, LAST_FILE);
  if (!existsSync(path)) return { at: null, trouble: null };
  return JSON.parse(readFileSync(path, 'utf8')) as LastBackup;
}

export function writeLast(folder: string, last: LastBackup): void {
  writeWhole(join(folder, LAST_FILE), Buffer.from(`${JSON.stringify(last)}\n`));
}

/** The last moment, ms, at which it was so many minutes past midnight by this machine's clock. */
function lastTimeOf(minutes: number, nowMs: number): number {
  const moment = new Date(nowMs);
  moment.setHours(0, minutes, 0, 0);
  if (moment.getTime() > nowMs) moment.setDate(moment.getDate() - 1);
  return moment.getTime();
}

/**
 * Whether the next backup is due.
 *
 * @param atMin the time of day that it is wanted at, minutes from midnight; `null`: a day after the last.
 */
export function isDue({ at, triedAt }: LastBackup, atMin: number | null, nowMs: number): boolean {
  if (triedAt !== undefined && nowMs - Date.parse(triedAt) < HOUR_MS) return false;
  if (at === null) return true;
  const madeMs = Date.parse(at);
  return atMin === null ? nowMs - madeMs >= DAY_MS : madeMs < lastTimeOf(atMin, nowMs);
}
