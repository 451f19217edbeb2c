import type { Database } from 'better-sqlite3';
import { minOf } from '#core/base/clock';
import { addDays } from '#core/base/day';
import { accessOf } from '#core/catalogue/access/kinds';
import type { AccessPoint } from '#core/model/job/access-point';
import type { Job } from '#core/model/job/job';
import type { Property } from '#core/model/job/property';
import { readPlace } from '#core/office/travel';
import type { Appointment, Crew } from '#core/schedule/appointment';
import { offsetOf } from '#core/schedule/daylight';
import { lengthOf } from '#core/schedule/length';
import { hasOwner } from './people/accounts';
import { prepared } from './prepared';

/** An appointment, and the revision of its job. */
export type Booked = Appointment & { readonly rev: number };

type Row = {
  readonly id: string;
  readonly rev: number;
  readonly job: string;
  readonly property: string;
  readonly accessPoints: string;
  readonly entryCount: number;
  /** The last look at the same address before. */
  readonly lastId: string | null;
};

/** What a look took, minutes, from its first entry to its last; `null` where nothing was logged. */
function minutesOf(db: Database, jobId: string): number | null {
  const row = prepared<[string], { first: string | null; last: string | null }>(
    db,
    `SELECT min(json_extract(e.body, '$.at')) AS first, max(json_extract(e.body, '$.at')) AS last
     FROM entries AS e WHERE e.job_id = ?`,
  ).get(jobId);
  if (!row?.first || !row.last) return null;
  const minutes = Math.round((Date.parse(row.last) - Date.parse(row.first)) / 60_000);
  return Number.isFinite(minutes) ? minutes : null;
}

function appointmentOf(db: Database, row: Row, hasPeople: boolean): Booked {
  const job = JSON.parse(row.job) as Job;
  const property = JSON.parse(row.property) as Property;
  const accessPoints = JSON.parse(row.accessPoints) as AccessPoint[];
  const isDone = row.entryCount > 0;
  const lastMin = isDone || row.lastId === null ? null : minutesOf(db, row.lastId);
  return {
    id: row.id,
    rev: row.rev,
    title: job.title,
    client: job.client,
    personId: hasPeople ? (job.assignedTo ?? '') : job.inspector,
    day: job.scheduledFor.slice(0, 10),
    beginMin: minOf(job.scheduledFor),
    offsetMin: offsetOf(job.scheduledFor),
    lengthMin: job.lengthMin ?? lengthOf({ property, accessPoints, lastMin }),
    place: property.position ?? null,
    isOnRoof: accessPoints.some(({ kind, usable }) => usable && accessOf(kind).isOnRoof),
    isDone,
    periodEndsOn: job.inspectionPeriodEndsOn ?? null,
  };
}

/** What is booked from one day to another, both counted in, `YYYY-MM-DD` where the houses are. */
export function bookedBetween(db: Database, from: string, to: string): Booked[] {
  const hasPeople = hasOwner(db);
  return prepared<[string, string], Row>(
    db,
    `SELECT id, rev, job, property,
       (SELECT json_group_array(json(body)) FROM access_points WHERE job_id = jobs.id) AS accessPoints,
       (SELECT count(*) FROM entries WHERE job_id = jobs.id) AS entryCount,
       (SELECT other.id FROM jobs AS other
        WHERE lower(trim(json_extract(other.property, '$.address'))) = lower(trim(json_extract(jobs.property, '$.address')))
          AND other.id <> jobs.id AND other.removed_at IS NULL AND other.scheduled_for < jobs.scheduled_for
        ORDER BY other.scheduled_for DESC LIMIT 1) AS lastId
     FROM jobs WHERE removed_at IS NULL AND scheduled_for >= ? AND scheduled_for < ?
     ORDER BY scheduled_for, id`,
  )
    .all(from, addDays(to, 1))
    .map((row) => appointmentOf(db, row, hasPeople));
}

/** Everybody who scopes: where Chert has people, its inspectors and owners; else whoever the jobs name. */
export function listCrews(db: Database, firmInspector?: string): Crew[] {
  if (hasOwner(db))
    return prepared<[], { id: string; name: string; home: string }>(
      db,
      `SELECT id, name, home FROM accounts
       WHERE closed_at IS NULL AND role IN ('inspector', 'owner') ORDER BY role DESC, name, id`,
    )
      .all()
      .sort((a, b) => a.name.localeCompare(b.name))
      .map(({ home, ...crew }) => ({ ...crew, home: readPlace(home) }));
  const named = prepared<[], { name: string | null }>(
    db,
    `SELECT DISTINCT json_extract(job, '$.inspector') AS name FROM jobs WHERE removed_at IS NULL`,
  ).all();
  const names = new Set([
    ...(firmInspector ? [firmInspector] : []),
    ...named.map((one) => one.name),
  ]);
  return [...names]
    .filter((name): name is string => Boolean(name))
    .sort((a, b) => a.localeCompare(b))
    .map((name) => ({ id: name, name, home: null }));
}
