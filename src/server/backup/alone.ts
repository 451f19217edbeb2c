import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { alivePid } from '../running';

const FILE = 'under-way.pid';

/**
 * Does what no two may do to a folder of backups at a time: one that makes a backup and one that prunes would take the
 * other's contents out.
 *
 * @throws when another process does so now. One that was killed is no hindrance.
 */
export async function alone<Made>(folder: string, act: () => Promise<Made>): Promise<Made> {
  const file = join(folder, FILE);
  const take = () => writeFileSync(file, `${process.pid}\n`, { flag: 'wx' });
  try {
    take();
  } catch (error) {
    if ((error as { readonly code?: string }).code !== 'EEXIST') throw error;
    const pid = alivePid(file);
    if (pid !== null)
      throw new Error(
        `${folder}: another backup is being made there (process ${pid}). Wait for it`,
        {
          cause: error,
        },
      );
    rmSync(file, { force: true });
    take();
  }
  try {
    return await act();
  } finally {
    rmSync(file, { force: true });
  }
}
