import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const fileOf = (dataFolder: string) => join(dataFolder, 'running.pid');

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as { readonly code?: string }).code === 'EPERM';
  }
}

/** The process of the Chert that runs on a data folder; `null` when none does. */
export const runningPid = (dataFolder: string): number | null => alivePid(fileOf(dataFolder));

/** The process that a file names, if it lives. */
export function alivePid(file: string): number | null {
  if (!existsSync(file)) return null;
  const pid = Number(readFileSync(file, 'utf8'));
  return Number.isInteger(pid) && pid > 0 && isAlive(pid) ? pid : null;
}

/** Says that this process runs on a data folder; takes it back when the process ends. */
export function noteRunning(dataFolder: string): void {
  writeFileSync(fileOf(dataFolder), `${process.pid}\n`);
  process.on('exit', () => rmSync(fileOf(dataFolder), { force: true }));
}
