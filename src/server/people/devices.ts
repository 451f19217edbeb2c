import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';

/** A device that held something unsent when it was last in contact. */
export type HoldingDevice = {
  readonly device: string;
  readonly person: string;
  readonly count: number;
  /** Since when the oldest of it waits, and when the device said so. */
  readonly since: string;
  readonly reportedAt: string;
};

/** Devices that hold something unsent, the longest first. */
export const listHolding = (db: Database): HoldingDevice[] =>
  prepared<[], HoldingDevice>(
    db,
    `SELECT d.name AS device, a.name AS person, d.held_count AS count, d.held_since AS since,
       d.reported_at AS reportedAt
     FROM known_devices AS d JOIN accounts AS a ON a.id = d.account_id
     WHERE d.held_count > 0 ORDER BY d.held_since, d.id`,
  ).all();

/** What a device says that it holds, in the header of each contact: how much, and since when. */
export type HeldReport = { readonly count: number; readonly since: string | null };

const REPORT = /^(\d{1,6})(?: (\d{4}-\d\d-\d\dT[\d:.]+(?:Z|[+-]\d\d:\d\d)))?$/;

/** Reads the header; `null` where there is none, or another thing. */
export function readHeldReport(text: string | undefined): HeldReport | null {
  const [, count, since] = REPORT.exec(text ?? '') ?? [];
  return count === undefined ? null : { count: Number(count), since: since ?? null };
}

/** Notes what the device of a session holds. */
export function noteHeld(
  db: Database,
  sessionId: string,
  { count, since }: HeldReport,
  now: string,
): void {
  prepared(
    db,
    `UPDATE known_devices SET held_count = @count, held_since = @since, reported_at = @now
     WHERE (id, account_id) IN (SELECT coalesce(device_id, id), account_id FROM sessions WHERE id = @sessionId)
       AND (held_count <> @count OR held_count > 0)`,
  ).run({ count, since: count > 0 ? (since ?? now) : null, now, sessionId });
}
