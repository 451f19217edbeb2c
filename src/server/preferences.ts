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

/**
 * Lays changed parts over what is set, in one transaction: what two screens change at a time both stand.
 *
 * @param check judges the whole before it is stored; what it throws changes nothing.
 */
export function changePreferences(
  db: Database,
  change: Partial<Preferences>,
  check: (whole: Preferences) => void,
): Preferences {
  return db
    .transaction(() => {
      const whole = { ...loadPreferences(db), ...change };
      check(whole);
      storePreferences(db, whole);
      return whole;
    })
    .immediate();
}
