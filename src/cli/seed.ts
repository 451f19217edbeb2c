import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sayFault } from '#core/base/fault';
import { readInspectionFile } from '#core/formats/inspection-file';
import type { Inspection } from '#core/job/inspection';
import { database } from '#server/database';
import { storeInspection } from '#server/inspections';

const DEMO_FOLDER = join(process.cwd(), 'demo');
const DAY_MS = 24 * 3600 * 1000;
const WEEK_MS = 7 * DAY_MS;

/**
 * Whole weeks, in days, that bring a demo job near today: one that was scoped to the week behind us,
 * one that waits to the week before us.
 */
function shiftDays({ job, runs }: Inspection, nowMs: number): number {
  const weeks = (nowMs - Date.parse(job.scheduledFor)) / WEEK_MS;
  return 7 * (runs.length > 0 ? Math.floor(weeks) : Math.ceil(weeks));
}

/** Moves every day in a file by whole days. Weekdays and clock times stay as they are. */
function moveDays(value: unknown, days: number): unknown {
  if (typeof value === 'string') {
    const match = /^(\d{4}-\d{2}-\d{2})(T.+)?$/.exec(value);
    if (!match) return value;
    const moved = new Date(Date.parse(`${match[1]}T00:00:00Z`) + days * DAY_MS);
    return moved.toISOString().slice(0, 10) + (match[2] ?? '');
  }
  if (Array.isArray(value)) return value.map((item) => moveDays(item, days));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, item]) => [key, moveDays(item, days)]),
  );
}

const isFixed = process.env['CHERT_DEMO_DATES'] === 'fixed';
const now = new Date();
for (const name of readdirSync(DEMO_FOLDER)
  .filter((file) => file.endsWith('.chert.json'))
  .sort()) {
  const outcome = readInspectionFile(readFileSync(join(DEMO_FOLDER, name), 'utf8'));
  if (!outcome.ok) throw new Error(`demo/${name}\n${outcome.faults.map(sayFault).join('\n')}`);
  const days = isFixed ? 0 : shiftDays(outcome.value, now.getTime());
  const inspection = moveDays(outcome.value, days) as Inspection;
  const stored = storeInspection(database(), inspection, now.toISOString());
  // A job that somebody has worked on since is theirs: it is left as it is.
  console.log(`demo/${name}: ${stored === 'stored' ? 'added' : 'already here'}`);
}
