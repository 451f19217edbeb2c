import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import { SECURITY } from './security-database';

/** What granted access when a backup was made, beside the database that was restored from it. */
export const RESTORED_SECURITY_FILE = 'security-from-backup.db';

/** Tables in which a backup may know somebody or something that is not here, each before those that refer to it. */
const MERGED = [
  'accounts',
  'sessions',
  'known_devices',
  'handed_jobs',
  'invitations',
  'passkeys',
  'share_links',
  'secrets',
  'access_log',
] as const;

/**
 * Brings what a restored backup knows of access to what is here, which stands: nothing that was ended, closed or taken
 * from somebody since comes back. Run again where it was cut short, it comes to the same.
 *
 * @param generation the folder of the restored database.
 */
export function mergeRestoredAccess(db: Database, generation: string): void {
  const path = join(generation, RESTORED_SECURITY_FILE);
  if (!existsSync(path)) return;
  db.prepare('ATTACH ? AS restored').run(path);
  try {
    db.transaction(() => {
      for (const table of MERGED) {
        const columns = db
          .prepare<[], { name: string }>(
            `SELECT name FROM pragma_table_info('${table}', '${SECURITY}')`,
          )
          .all()
          .map(({ name }) => name)
          .join(', ');
        db.exec(
          `INSERT OR IGNORE INTO ${SECURITY}.${table} (${columns}) SELECT ${columns} FROM restored.${table}`,
        );
      }
    }).immediate();
  } finally {
    db.exec('DETACH restored');
  }
  for (const end of ['', '-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
}
