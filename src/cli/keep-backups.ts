import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { USUAL_BACKUPS } from '#core/office/backups';
import { backupsFolder, isDue, makesBackups, readLast } from '#server/backup/schedule';
import { database } from '#server/database';
import { loadPreferences } from '#server/preferences';

/** How often it is asked whether a backup is due, ms; the first time soon after the start. */
const ASK_EVERY_MS = 5 * 60_000;
const FIRST_MS = 60_000;

/** Makes a backup every day while the server runs, at the time that Settings say, in a process of its own. */
export function keepBackups(dataFolder: string, root: string): void {
  if (!makesBackups()) return;
  const folder = backupsFolder(dataFolder);
  // One that takes long is not begun again beside itself.
  let isMaking = false;
  const ask = () => {
    if (isMaking) return;
    mkdirSync(folder, { recursive: true });
    const { atMin } = loadPreferences(database()).backups ?? USUAL_BACKUPS;
    if (!isDue(readLast(folder), atMin, Date.now())) return;
    const child = spawn(process.execPath, ['scripts/built.mjs', 'backup'], {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    isMaking = true;
    child.on('exit', () => {
      isMaking = false;
    });
    child.on('error', (error) => {
      isMaking = false;
      console.error(`The backup could not be started: ${error.message}`);
    });
    child.unref();
  };
  const askSafely = () => {
    try {
      ask();
    } catch (error) {
      console.error(
        `${folder}: no backup: ${error instanceof Error ? error.message : String(error)}`,
      );
    }
  };
  setTimeout(askSafely, FIRST_MS).unref();
  setInterval(askSafely, ASK_EVERY_MS).unref();
}
