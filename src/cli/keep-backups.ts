import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { backupsFolder, isDue, readLast } from '#server/backup/schedule';

/** How often it is asked whether a backup is due, ms; the first time soon after the start. */
const ASK_EVERY_MS = 3_600_000;
const FIRST_MS = 60_000;
/** What `CHERT_BACKUPS` says where somebody else makes the backups. */
const OFF = 'off';

/** Makes a backup every day while the server runs, in a process of its own. */
export function keepBackups(dataFolder: string, root: string): void {
  if (process.env['CHERT_BACKUPS'] === OFF) return;
  const folder = backupsFolder(dataFolder);
  const ask = () => {
    mkdirSync(folder, { recursive: true });
    if (!isDue(readLast(folder), Date.now())) return;
    const child = spawn(process.execPath, ['scripts/built.mjs', 'backup'], {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    child.on('error', (error) =>
      console.error(`The backup could not be started: ${error.message}`),
    );
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
