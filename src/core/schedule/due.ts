import { addDays, daysBetween } from '../base/day';
import { plainText } from '../base/plain-text';
import { sayDay, workingDaysBefore } from '../report/calendar';

/** What has a date. */
export const DUE_KINDS = ['scope', 'issue', 'period', 'again', 'upkeep', 'step'] as const;
export type DueKind = (typeof DUE_KINDS)[number];

/** A job as the list of what is due sees it. */
export type DueJob = {
  readonly id: string;
  readonly title: string;
  readonly client: string;
  readonly personId: string;
  readonly scopedOn: string;
  readonly periodEndsOn: string | null;
  readonly entryCount: number;
  readonly issuedNumber: number | null;
  /** What its issued report dates: the scope after a repair, upkeep. */
  readonly days: readonly { readonly key: string; readonly on: string; readonly title: string }[];
  /** Keys of what somebody has settled. */
  readonly settled: readonly string[];
};

export type DueItem = {
  readonly jobId: string;
  readonly key: string;
  readonly kind: DueKind;
  readonly on: string;
  /** "Wed 11 Nov", with its year where that is another. */
  readonly when: string;
  readonly title: string;
  readonly client: string;
  readonly personId: string;
  /** What is to be done, as a sentence. */
  readonly says: string;
  /** The press that does it: its word, and where it leads. */
  readonly press: { readonly label: string; readonly href: string };
  /** Days from today; below 0: it is late. */
  readonly inDays: number;
};

/** A buyer needs so many working days for quotes and for asking, after the report. */
const QUOTE_DAYS = 3;
/** Where there is no inspection period, a report is owed so many days after the look. */
const REPORT_DAYS = 2;
/** Items further ahead than this are not due, days. */
const AHEAD_DAYS = 60;
/** What was to come back and was not for so long is no longer told, days. */
const LONG_AGO_DAYS = 120;

type Found = Pick<DueItem, 'key' | 'kind' | 'on' | 'says' | 'press'>;

/** By when the report is owed, so that the buyer still has time to ask. */
function reportOn({ scopedOn, periodEndsOn }: DueJob): string {
  const owed = addDays(scopedOn, REPORT_DAYS);
  if (periodEndsOn === null) return owed;
  const wanted = workingDaysBefore(periodEndsOn, QUOTE_DAYS);
  return wanted < scopedOn ? scopedOn : wanted;
}

function itemsOf(job: DueJob, today: string): Found[] {
  const base = `/jobs/${encodeURIComponent(job.id)}`;
  const isScoped = job.entryCount > 0;
  const isIssued = job.issuedNumber !== null;
  const found: Found[] = [];
  if (!isScoped)
    found.push({
      key: 'scope',
      kind: 'scope',
      on: job.scopedOn,
      says: job.scopedOn < today ? 'It was due to be scoped and has no log.' : 'To be scoped.',
      press: { label: 'Scope it', href: `${base}/scope` },
    });
  else if (!isIssued)
    found.push({
      key: 'issue',
      kind: 'issue',
      on: reportOn(job),
      says: 'Its report is to be issued.',
      press: { label: 'Issue the report', href: `${base}/report` },
    });
  if (job.periodEndsOn !== null)
    found.push({
      key: 'period',
      kind: 'period',
      on: job.periodEndsOn,
      says: isIssued
        ? 'Its inspection period ends; the report is out.'
        : 'Its inspection period ends, and no report is out.',
      press: { label: 'Open the report', href: `${base}/report` },
    });
  for (const { key, on, title } of job.days)
    found.push({
      key,
      kind: key === 'scope-again' ? 'again' : key.startsWith('upkeep') ? 'upkeep' : 'step',
      on,
      says: `${title}.`,
      press:
        key === 'scope-again'
          ? { label: 'Book the scope', href: `/?again=${encodeURIComponent(job.id)}#new-job` }
          : { label: 'Open the report', href: `${base}/report` },
    });
  return found;
}

/** Whether something is still to be told: not settled, not too far ahead or back. A period that is over asks nothing. */
function isDue({ key, kind, on }: Found, { settled }: DueJob, today: string): boolean {
  const inDays = daysBetween(today, on);
  if (settled.includes(key) || inDays > AHEAD_DAYS) return false;
  if (kind === 'period' || kind === 'step') return inDays >= 0;
  return inDays >= -LONG_AGO_DAYS;
}

/**
 * Everything with a date across jobs: what is late first, then by day.
 *
 * @param today `YYYY-MM-DD`.
 */
export function composeDue(jobs: readonly DueJob[], today: string): DueItem[] {
  return jobs
    .flatMap((job) =>
      itemsOf(job, today)
        .filter((one) => isDue(one, job, today))
        .map((one): DueItem => ({
          ...one,
          jobId: job.id,
          when: one.on.startsWith(today.slice(0, 4))
            ? sayDay(one.on)
            : `${sayDay(one.on)} ${one.on.slice(0, 4)}`,
          title: plainText(job.title),
          client: plainText(job.client),
          personId: job.personId,
          inDays: daysBetween(today, one.on),
        })),
    )
    .toSorted(
      (a, b) =>
        (a.on < b.on ? -1 : a.on > b.on ? 1 : 0) ||
        DUE_KINDS.indexOf(a.kind) - DUE_KINDS.indexOf(b.kind) ||
        (a.jobId < b.jobId ? -1 : 1),
    );
}

export type DueGroup<Item = DueItem> = { readonly name: string; readonly items: readonly Item[] };

/** The list parted by urgency; a part with nothing in it is left out. */
export function groupDue<Item extends DueItem>(items: readonly Item[]): DueGroup<Item>[] {
  const part = (name: string, is: (item: DueItem) => boolean): DueGroup<Item> => ({
    name,
    items: items.filter(is),
  });
  return [
    part('Late', ({ inDays }) => inDays < 0),
    part('Today', ({ inDays }) => inDays === 0),
    part('The next seven days', ({ inDays }) => inDays > 0 && inDays <= 7),
    part('Later', ({ inDays }) => inDays > 7),
  ].filter(({ items: some }) => some.length > 0);
}
