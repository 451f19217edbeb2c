import type { Database } from 'better-sqlite3';
import { assessed } from '#core/assess';
import {
  composeCard,
  composeRow,
  type Desk,
  type DeskCard,
  type JobSummary,
} from '#core/desk/desk';
import type { Assessment } from '#core/judge/assessment';
import { loadInspection } from './inspections';
import { findJobs, jobsAtWork, revOf } from './jobs';
import { localDay } from './local-day';

/** The most rows of the list below; a search narrows it. */
const MOST_ROWS = 200;
const MOST_CARDS = 12;

type Known = { readonly key: string; readonly card: DeskCard };
/** Cards by job, as of its revision and a day: working one out takes long. */
const cardsOf = new WeakMap<Database, Map<string, Known>>();

function cardOf(db: Database, job: JobSummary, today: string): DeskCard {
  const cards = cardsOf.get(db) ?? new Map<string, Known>();
  cardsOf.set(db, cards);
  const key = `${revOf(db, job.id)} ${today}`;
  const known = cards.get(job.id);
  if (known?.key === key) return known.card;
  const card = composeCard(job, assessSafely(db, job.id), today);
  cards.set(job.id, { key, card });
  return card;
}

/** What is computed from a job's log; `null` where it cannot be: one bad job takes nothing else along. */
function assessSafely(db: Database, jobId: string): Assessment | null {
  try {
    const inspection = loadInspection(db, jobId);
    return inspection && assessed(inspection);
  } catch (error) {
    console.error(`job ${jobId}:`, error);
    return null;
  }
}

/** Reads the Desk: jobs at work in order of their appointments, and all jobs below. */
export function readDesk(db: Database, now: Date, query: string): Desk {
  const today = localDay(now);
  const { jobs, total } = findJobs(db, query, MOST_ROWS);
  const cards = jobsAtWork(db, today, MOST_CARDS).map((job) => cardOf(db, job, today));
  return { cards, rows: jobs.map(composeRow), total };
}
