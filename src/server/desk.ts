import type { Database } from 'better-sqlite3';
import { assessed } from '#core/assess';
import {
  composeCard,
  composeRow,
  type Desk,
  type DeskCard,
  type JobSummary,
  whoseIs,
} from '#core/desk/desk';
import type { Assessment } from '#core/judge/assessment';
import type { Person } from '#core/office/roles';
import { loadInspection } from './inspections';
import { findJobs, jobsAtWork, revOf } from './jobs';
import { localDay } from './local-day';
import { namesOfPeople } from './people/accounts';

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

/**
 * Reads the Desk: jobs at work in order of their appointments, and all jobs below. An inspector of a firm has only
 * their own at work: forty others' would hide them.
 */
export function readDesk(db: Database, now: Date, query: string, who: Person | null = null): Desk {
  const today = localDay(now);
  const names = who ? namesOfPeople(db) : new Map<string, string>();
  const isOwn = who?.role === 'inspector';
  const { jobs, total } = findJobs(db, query, MOST_ROWS);
  const atWork = jobsAtWork(db, today, MOST_CARDS, isOwn ? who.id : null);
  return {
    cards: atWork.map((job) => ({ ...cardOf(db, job, today), ...whoseIs(job, who, names) })),
    rows: jobs.map((job) => ({ ...composeRow(job), ...whoseIs(job, who, names) })),
    total,
    isOwn,
  };
}
