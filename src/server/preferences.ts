import type { Database } from 'better-sqlite3';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/site/equipment';
import { prepared } from './prepared';

/** What was read last, with its text: the same object while nothing else was set. */
let last: { readonly body: string; readonly preferences: Preferences } | null = null;

/** What the inspector has set for every job, else the defaults. */
export function loadPreferences(db: Database): Preferences {
  const row = prepared<[], { body: string }>(db, 'SELECT body FROM preferences').get();
  if (!row) return DEFAULT_PREFERENCES;
  if (last?.body !== row.body) {
    last = { body: row.body, preferences: JSON.parse(row.body) as Preferences };
  }
  return last.preferences;
}

export function storePreferences(db: Database, preferences: Preferences): void {
  prepared(
    db,
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
