import type { Database } from 'better-sqlite3';
import type { Person, Right } from '#core/office/roles';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/site/equipment';
import { prepared } from './prepared';

/** What was read last, with its text: the same object while nothing else was set. */
const last = new Map<string, { readonly body: string; readonly preferences: Preferences }>();

/** The parts that each inspector of a firm sets alone. */
const OWN = new Set<string>(['equipment', 'ownWords', 'signing'] satisfies (keyof Preferences)[]);

/** The parts that only the owner of a firm sets: how long what is kept. */
const OWNERS = new Set<string>(['keepMonths', 'backups'] satisfies (keyof Preferences)[]);

/** What is set for every job, with the rig and the words of whoever asks; else the defaults. */
export function loadPreferences(db: Database, who: Person | null = null): Preferences {
  const row = prepared<[], { body: string }>(db, 'SELECT body FROM preferences').get();
  const own = who ? ownOf(db, who.id) : '{}';
  if (!row && own === '{}') return DEFAULT_PREFERENCES;
  const body = `${row?.body ?? '{}'}\n${own}`;
  const key = who?.id ?? '';
  const known = last.get(key);
  if (known?.body === body) return known.preferences;
  const firms = row ? (JSON.parse(row.body) as Preferences) : DEFAULT_PREFERENCES;
  const preferences = { ...firms, ...(JSON.parse(own) as Partial<Preferences>) };
  last.set(key, { body, preferences });
  return preferences;
}

const ownOf = (db: Database, personId: string) =>
  prepared<[string], { preferences: string }>(
    db,
    'SELECT preferences FROM accounts WHERE id = ?',
  ).get(personId)?.preferences ?? '{}';

export function storePreferences(db: Database, preferences: Preferences): void {
  prepared(
    db,
    `INSERT INTO preferences (only_one, body) VALUES (1, ?)
     ON CONFLICT (only_one) DO UPDATE SET body = excluded.body`,
  ).run(JSON.stringify(preferences));
}

/** The right that it takes to set a part. */
export const rightToSetPart = (part: string): Right =>
  OWN.has(part) ? 'set' : OWNERS.has(part) ? 'people' : 'firm';

/**
 * Lays changed parts over what is set, in one transaction: what two screens change at a time both stand. In a firm the
 * rig and the words are whoever's sets them.
 *
 * @param check judges the whole before it is stored; what it throws changes nothing.
 */
export function changePreferences(
  db: Database,
  change: Partial<Preferences>,
  check: (whole: Preferences) => void,
  who: Person | null = null,
): Preferences {
  return db
    .transaction(() => {
      const whole = { ...loadPreferences(db, who), ...change };
      check(whole);
      if (!who) storePreferences(db, whole);
      else storeShared(db, change, who);
      return whole;
    })
    .immediate();
}

function storeShared(db: Database, change: Partial<Preferences>, who: Person): void {
  const parts = Object.entries(change);
  const own = parts.filter(([part]) => OWN.has(part));
  const firms = parts.filter(([part]) => !OWN.has(part));
  if (own.length > 0) {
    const before = JSON.parse(ownOf(db, who.id)) as object;
    const after = JSON.stringify({ ...before, ...Object.fromEntries(own) });
    prepared(db, 'UPDATE accounts SET preferences = ? WHERE id = ?').run(after, who.id);
  }
  if (firms.length > 0)
    storePreferences(db, { ...loadPreferences(db), ...Object.fromEntries(firms) });
}
