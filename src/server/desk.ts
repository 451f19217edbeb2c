import type { Database } from 'better-sqlite3';
import { derive } from '#core/derive';
import { composeCard, composeRow, type Desk, isAtWork } from '#core/desk/desk';
import { loadInspection } from './inspections';
import { listJobs } from './jobs';

/** The most rows of the list below; a search narrows it. */
const MOST_ROWS = 200;
const MOST_CARDS = 12;

function localDay(now: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** Reads the Desk: jobs at work in order of their appointments, and all jobs below. */
export function readDesk(db: Database, now: Date, query: string): Desk {
  const jobs = listJobs(db);
  const today = localDay(now);
  const wanted = query.trim().toLowerCase();
  const found = wanted
    ? jobs.filter(({ title, client }) => `${title} ${client}`.toLowerCase().includes(wanted))
    : jobs;
  const cards = jobs
    .filter((job) => isAtWork(job, today))
    .sort((a, b) => Date.parse(a.scheduledFor) - Date.parse(b.scheduledFor))
    .slice(0, MOST_CARDS)
    .map((job) => composeCard(job, derive(loadInspection(db, job.id)!), today));
  return { cards, rows: found.slice(0, MOST_ROWS).map(composeRow), total: found.length };
}
