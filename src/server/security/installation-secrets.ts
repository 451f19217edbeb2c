import { randomBytes } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { makeToken } from '../installation';
import { prepared } from '../prepared';

/** What this installation alone knows, and how each is made. */
const MAKERS = {
  /** What scripts on this machine bring, where Chert has no people. */
  'access-token': makeToken,
  /** Signs the cookies by which browsers are told apart. */
  'device-key': () => randomBytes(32).toString('base64url'),
} satisfies Record<string, () => string>;

/** A secret of this installation; made at its first use. */
export function installationSecret(db: Database, name: keyof typeof MAKERS): string {
  const find = prepared<[string], { value: string }>(
    db,
    'SELECT value FROM secrets WHERE name = ?',
  );
  const known = find.get(name);
  if (known) return known.value;
  prepared(db, 'INSERT OR IGNORE INTO secrets (name, value) VALUES (?, ?)').run(
    name,
    MAKERS[name](),
  );
  return find.get(name)!.value;
}
