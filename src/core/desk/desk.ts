import { plainText } from '../base/plain-text';
import type { Assessment } from '../judge/assessment';
import { NO_HOLIDAYS } from '../model/job/report-options';
import { hasRight, type Person } from '../office/roles';
import { sayClock, sayDay, workingDaysLeft } from '../report/calendar';
import { OVERALL_WORDS } from '../report/words';

/** One job as the Desk's query finds it. */
export type JobSummary = {
  readonly id: string;
  readonly title: string;
  readonly client: string;
  readonly scheduledFor: string;
  readonly periodEndsOn: string | null;
  readonly runCount: number;
  readonly entryCount: number;
  /** The latest issued version of its report and when; `null` while none is. */
  readonly issuedNumber: number | null;
  readonly issuedAt: string | null;
  /** The account of the inspector whose it is; `null`: nobody's yet, or Chert has no people. */
  readonly assignedTo: string | null;
};

/** A job that is at work: its inspection period still runs, or it is still to be scoped. */
export type DeskCard = {
  readonly id: string;
  readonly title: string;
  readonly client: string;
  /** "Thu 12 Nov, 2:00 pm" */
  readonly when: string;
  readonly isToday: boolean;
  /** What it waits for, in a few words. */
  readonly waits: string;
  /** Things that block its report. */
  readonly blockers: number;
  readonly verdict: string | null;
  /** Working days left of the inspection period; `null` when it has no end. */
  readonly daysLeft: number | null;
  readonly periodEnds: string | null;
  readonly scoped: boolean;
};

export type DeskRow = {
  readonly id: string;
  readonly title: string;
  readonly client: string;
  readonly when: string;
  readonly log: string;
  readonly periodEnds: string;
};

/** What a firm's list says of a job on top. */
type Whose = {
  /** Whose it is, in words; `null` where Chert has no people. */
  readonly whose: string | null;
  /** Whether whoever looks may take it off the list. */
  readonly mayRemove: boolean;
};

export type Desk = {
  readonly cards: readonly (DeskCard & Whose)[];
  readonly rows: readonly (DeskRow & Whose)[];
  readonly total: number;
  /** Whether the cards are those of whoever looks alone. */
  readonly isOwn: boolean;
};

/**
 * Whose a job is, to whoever looks at it.
 *
 * @param names of everybody who has or had an account, by its id.
 */
export function whoseIs(
  { assignedTo }: JobSummary,
  who: Person | null,
  names: ReadonlyMap<string, string>,
): Whose {
  if (!who) return { whose: null, mayRemove: true };
  const isTheirs = assignedTo === who.id;
  return {
    whose: isTheirs ? 'yours' : ((assignedTo && names.get(assignedTo)) ?? 'unassigned'),
    mayRemove: hasRight(who.role, 'agree', isTheirs),
  };
}

function sayWhen(instant: string): string {
  return [sayDay(instant.slice(0, 10)), sayClock(instant)].filter(Boolean).join(', ');
}

/** What is told of a job whose log could not be worked out. */
const CANNOT = 'This log cannot be worked out. Export its file, or remove the job from the list';

/**
 * The card of a job at work.
 *
 * @param assessment `null` where its log could not be worked out: that takes no other job off the list.
 */
export function composeCard(
  job: JobSummary,
  assessment: Assessment | null,
  today: string,
): DeskCard {
  const blockers = assessment?.checks.filter(({ level }) => level === 'blocker').length ?? 0;
  const scoped = job.entryCount > 0;
  return {
    id: job.id,
    title: plainText(job.title),
    client: plainText(job.client),
    when: sayWhen(job.scheduledFor),
    isToday: job.scheduledFor.startsWith(today),
    waits: assessment ? sayWaits(job, blockers, assessment.completeness === 'partial') : CANNOT,
    blockers,
    verdict: scoped && assessment ? OVERALL_WORDS[assessment.overall] : null,
    daysLeft:
      job.periodEndsOn === null
        ? null
        : workingDaysLeft(today, job.periodEndsOn, assessment?.settings.holidays ?? NO_HOLIDAYS),
    periodEnds: job.periodEndsOn === null ? null : sayDay(job.periodEndsOn),
    scoped,
  };
}

function sayWaits(job: JobSummary, blockers: number, isPartial: boolean): string {
  if (job.runCount === 0) return 'Waits to be scoped';
  if (job.entryCount === 0) return 'A run is set up, nothing is logged yet';
  if (job.issuedNumber !== null && job.issuedAt !== null)
    return `Issued ${sayWhen(job.issuedAt)}, version ${job.issuedNumber}`;
  if (blockers > 0) {
    return `${blockers} ${blockers === 1 ? 'thing' : 'things'} to clear before the report`;
  }
  return isPartial ? 'Report ready; part of the line was not seen' : 'Report ready to read through';
}

/** The row of any job in the list of all. */
export function composeRow(job: JobSummary): DeskRow {
  const runs = `${job.runCount} ${job.runCount === 1 ? 'run' : 'runs'}`;
  return {
    id: job.id,
    title: plainText(job.title),
    client: plainText(job.client),
    when: sayWhen(job.scheduledFor),
    log: job.runCount === 0 ? 'not scoped' : `${runs}, ${job.entryCount} entries`,
    periodEnds: job.periodEndsOn === null ? 'not given' : sayDay(job.periodEndsOn),
  };
}
