import type { Database } from 'better-sqlite3';
import type { AccessEvent } from '#core/office/access-events';
import { prepared } from '../prepared';

/** Where a request comes from, as the log keeps it. */
export type RequestSource = {
  /** What its browser calls itself. */
  readonly device: string;
  readonly address: string;
};

export type AccessNote = {
  readonly what: AccessEvent;
  /** Who did it, by account; `null` where nobody was signed in. */
  readonly accountId: string | null;
  /** Whom or what it was done to, in words. */
  readonly detail?: string;
};

/** One line of the access log. */
export type LoggedAccess = {
  readonly seq: number;
  readonly at: string;
  readonly what: AccessEvent;
  readonly person: string | null;
  readonly device: string;
  readonly address: string;
  readonly detail: string;
};

/** The longest text of a line, characters: what strangers type stands in it too. */
const MOST_DETAIL = 200;

/** Writes a line of the access log. Call it in the transaction that it tells of, where there is one. */
export function noteAccess(
  db: Database,
  { what, accountId, detail = '' }: AccessNote,
  { device, address }: RequestSource,
  now: string,
): void {
  prepared(
    db,
    'INSERT INTO access_log (at, what, account_id, device, address, detail) VALUES (?, ?, ?, ?, ?, ?)',
  ).run(now, what, accountId, device, address, detail.slice(0, MOST_DETAIL));
}

/** The lines of the access log, the latest first. */
export const listAccess = (db: Database, most: number): LoggedAccess[] =>
  prepared<[number], LoggedAccess>(
    db,
    `SELECT l.seq, l.at, l.what, a.name AS person, l.device, l.address, l.detail
     FROM access_log AS l LEFT JOIN accounts AS a ON a.id = l.account_id
     ORDER BY l.seq DESC LIMIT ?`,
  ).all(most);

/** How long lines are kept, days. */
const KEPT_DAYS = 366;
const DAY_MS = 86_400_000;

/** Takes out lines that are older than a year. */
export function pruneAccessLog(db: Database, nowMs: number): void {
  prepared(db, 'DELETE FROM access_log WHERE at < ?').run(
    new Date(nowMs - KEPT_DAYS * DAY_MS).toISOString(),
  );
}
