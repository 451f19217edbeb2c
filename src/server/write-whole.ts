import { closeSync, fsyncSync, openSync, renameSync, rmSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';
import { threadId } from 'node:worker_threads';

/** What writes to the disk; given in by tests that play a full one. */
export type Disk = { readonly write: typeof writeSync };

/**
 * Writes a file whole or not at all: every byte counted, on the disk under another name first, then
 * renamed, and the folder's own entry on the disk as well.
 *
 * @throws ENOSPC when the disk takes less than all of it; whatever else the file system says.
 */
export function writeWhole(
  file: string,
  bytes: Uint8Array,
  disk: Disk = { write: writeSync },
): void {
  const half = `${file}.${process.pid}-${threadId}.part`;
  try {
    withHandle(half, 'w', (handle) => {
      let written = 0;
      while (written < bytes.byteLength) {
        const count = disk.write(handle, bytes, written, bytes.byteLength - written);
        if (count <= 0) throw Object.assign(new Error(`${half}: no room left`), { code: 'ENOSPC' });
        written += count;
      }
      fsyncSync(handle);
    });
    renameSync(half, file);
    withHandle(dirname(file), 'r', fsyncSync);
  } catch (error) {
    rmSync(half, { force: true });
    throw error;
  }
}

function withHandle(path: string, flags: string, act: (handle: number) => void): void {
  const handle = openSync(path, flags);
  try {
    act(handle);
  } finally {
    closeSync(handle);
  }
}
