import { randomBytes } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { decodeTime, ulid } from 'ulid';
import { prepared } from './prepared';

/** Who this server is, to its devices. */
export type Installation = {
  readonly id: string;
  /** New after each restore of a backup. */
  readonly era: string;
};

/** Twenty letters out of 31, none mistaken for another: some 99 bits. */
const TOKEN_BYTES = 20;
const TOKEN_LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

/** A token as it is printed and typed: five groups of four letters. */
export function makeToken(): string {
  const letters = [...randomBytes(TOKEN_BYTES)].map(
    (byte) => TOKEN_LETTERS[byte % TOKEN_LETTERS.length],
  );
  return letters.join('').replace(/(.{4})(?!$)/g, '$1-');
}

/** The installation of a database; made at its first use. */
export function installationOf(db: Database): Installation {
  const find = prepared<[], Installation>(db, 'SELECT id, era FROM installation');
  const known = find.get();
  if (known) return known;
  prepared(
    db,
    'INSERT OR IGNORE INTO installation (only_one, id, era, latest_at) VALUES (1, ?, ?, ?)',
  ).run(ulid(), ulid(), new Date(0).toISOString());
  return find.get()!;
}

/** Begins a new era, which sorts behind the last: what devices sent before may be missing here. */
export function beginEra(db: Database): void {
  const { era } = installationOf(db);
  const seedMs = Math.max(Date.now(), decodeTime(era) + 1);
  prepared(db, 'UPDATE installation SET era = ?').run(ulid(seedMs));
}

/** How far the latest time seen may lie behind before it is written down anew. */
const NOTE_EVERY_MS = 60_000;

/**
 * The time as this installation counts it: it never goes back, whatever the machine's clock does.
 *
 * @param nowMs the machine's clock, ms since 1970.
 * @returns ms since 1970; later than `nowMs` by as much as the clock was set back.
 */
export function timeOf(db: Database, nowMs: number): number {
  installationOf(db);
  const { latestAt } = prepared<[], { latestAt: string }>(
    db,
    'SELECT latest_at AS latestAt FROM installation',
  ).get()!;
  const latestMs = Date.parse(latestAt);
  if (nowMs > latestMs + NOTE_EVERY_MS)
    prepared(db, 'UPDATE installation SET latest_at = ?').run(new Date(nowMs).toISOString());
  return Math.max(nowMs, latestMs);
}
