import type { Database } from 'better-sqlite3';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/site/equipment';

/** What the inspector has set for every job, else the defaults. */
export function loadPreferences(db: Database): Preferences {
  const row = db.prepare<[], { body: string }>('SELECT body FROM preferences').get();
  return row ? (JSON.parse(row.body) as Preferences) : DEFAULT_PREFERENCES;
}

export function storePreferences(db: Database, preferences: Preferences): void {
  db.prepare(
    `INSERT INTO preferences (only_one, body) VALUES (1, ?)
     ON CONFLICT (only_one) DO UPDATE SET body = excluded.body`,
  ).run(JSON.stringify(preferences));
}
