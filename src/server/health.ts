import type { Database } from 'better-sqlite3';
import { backupsFolder, type LastBackup, readLast } from './backup/schedule';
import { installationOf, timeOf } from './installation';
import type { MediaStores } from './media/store';
import { prepared } from './prepared';

export type Health = {
  readonly ok: boolean;
  /** What is wrong, in plain words; empty when nothing is. */
  readonly troubles: readonly string[];
  readonly databaseVersion: number | null;
  /** How far this machine's clock lies behind the latest time it has shown, ms. */
  readonly clockBehindMs: number;
  readonly backup: LastBackup;
};

/** A clock that is set back by more than this is told, ms. */
const BEHIND_TOLD_MS = 120_000;

const why = (error: unknown) => (error instanceof Error ? error.message : String(error));

/**
 * Looks whether the server can do its work, by doing it: a row is written, and a file where stills go.
 *
 * @param open opens the database; what it throws is a trouble.
 */
export async function lookAtHealth(
  open: () => Database,
  { dataFolder, stores }: { readonly dataFolder: string; readonly stores: MediaStores },
  nowMs: number,
): Promise<Health> {
  const troubles: string[] = [];
  let databaseVersion: number | null = null;
  let clockBehindMs = 0;
  try {
    const db = open();
    databaseVersion = db.pragma('user_version', { simple: true }) as number;
    const { id } = installationOf(db);
    prepared(db, 'UPDATE installation SET id = ?').run(id);
    clockBehindMs = Math.max(0, timeOf(db, nowMs) - nowMs);
  } catch (error) {
    troubles.push(`The database cannot be written: ${why(error)}.`);
  }
  try {
    await stores.at(stores.current).probe();
  } catch (error) {
    troubles.push(`Stills cannot be written: ${why(error)}.`);
  }
  if (clockBehindMs > BEHIND_TOLD_MS)
    troubles.push(
      'The clock of this machine was set back. Set it right: links expire by the later time.',
    );
  return {
    ok: troubles.length === 0,
    troubles,
    databaseVersion,
    clockBehindMs,
    backup: readBackup(dataFolder),
  };
}

function readBackup(dataFolder: string): LastBackup {
  try {
    return readLast(backupsFolder(dataFolder));
  } catch (error) {
    return { at: null, trouble: why(error) };
  }
}
