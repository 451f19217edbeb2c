import type { Database } from 'better-sqlite3';
import { Temporal } from 'temporal-polyfill';
import { ulid } from 'ulid';
import { assessed } from '#core/assess';
import { sayTimeOf } from '#core/base/clock';
import { writeCalendar } from '#core/interchange/icalendar';
import { writeInspectionFile } from '#core/interchange/inspection-file';
import type { Assessment } from '#core/judge/assessment';
import { withFirm } from '#core/model/firm/with-firm';
import { applyEdits, type Edit } from '#core/model/job/edits';
import type { Inspection } from '#core/model/job/inspection';
import type { Paper } from '#core/model/job/report-options';
import { lastLimits } from '#core/model/job/report-words';
import { lastLeaving } from '#core/model/job/rulings';
import { reportOptions } from '#core/model/job/settings';
import { composeBeforeAfter } from '#core/report/before-after';
import type { Block } from '#core/report/block';
import { dayOf, sayLongDay } from '#core/report/calendar';
import { READERS } from '#core/report/documents';
import { freezeReport, type Frozen } from '#core/report/frozen';
import { chooseStills } from '#core/report/stills';
import { storeOwnEdits } from './edits';
import { Refusal } from './http/answer';
import { loadInspection, loadStored } from './inspections';
import { type Issued, type IssuedFile, listIssued, loadFrozen, storeIssued, TREE } from './issued';
import { revOf } from './jobs';
import { loadStills, type PdfStills } from './media/stills';
import { hashOf, type MediaStores } from './media/store';
import { firmFor } from './signer';

/** Prints blocks as PDF; given in, so that the server does not know the printer. */
export type Print = (wishes: {
  readonly title: string;
  readonly author: string;
  readonly blocks: readonly Block[];
  readonly section: Frozen['drawings']['paper'];
  readonly paper: Paper;
  readonly footer: string;
  readonly stills: PdfStills;
  readonly at: Date;
}) => Promise<Buffer>;

export type IssueWish = {
  /** Why a version that was issued is amended; empty for the first. */
  readonly reason: string;
  /** Why it goes out with something open; empty when nothing is. */
  readonly limits: string;
};

const PDF = 'application/pdf';
/** Digits of the hash of a report's content that stand on each of its pages. */
const CONTENT_DIGITS = 12;
/** The decision that keeps the numbers of findings that were issued. */
const NUMBERS = 'issued-numbers';

/** Now, in the offset of the job's own appointment: "2026-11-06T14:05:00-08:00". */
function nowOf(inspection: Inspection, nowMs: number): string {
  const offset = /([+-]\d{2}:\d{2}|Z)$/.exec(inspection.job.scheduledFor)?.[1] ?? 'Z';
  const zone = offset === 'Z' ? 'UTC' : offset;
  return Temporal.Instant.fromEpochMilliseconds(Math.floor(nowMs / 1000) * 1000).toString({
    timeZone: zone,
  });
}

/** "6 November 2026, 2:05 pm". */
function sayInstant(instant: string): string {
  return `${sayLongDay(dayOf(instant))}, ${sayTimeOf(instant)}`;
}

/** How a job stands against the earlier one that its report names; nothing where it names none. */
export function compareWithEarlier(db: Database, assessment: Assessment): readonly Block[] {
  const { comparedWith } = reportOptions(assessment.settings);
  const earlier = comparedWith === null ? null : loadInspection(db, comparedWith);
  return earlier ? composeBeforeAfter(assessed(earlier), assessment) : [];
}

function openPoints(
  assessment: Assessment,
  wish: IssueWish,
): readonly { code: string; message: string }[] {
  const open = assessment.checks
    .filter(({ level }) => level === 'blocker')
    .map(({ code, message }) => ({ code, message }));
  const { decisions } = assessment.inspection;
  const isStated = [
    wish.limits,
    lastLimits(decisions)?.reason,
    lastLeaving(decisions)?.reason,
  ].some(Boolean);
  if (open.length > 0 && !isStated)
    throw new Refusal(
      409,
      'open-points',
      'Something is open that holds the report back. Clear it, or say why the report goes out with it: the report will state that reason.',
      open.map(({ code, message }) => ({ path: code, expected: 'nothing open', got: message })),
    );
  return open;
}

/** What the report goes out with, as edits: its limits, and the numbers of its findings. */
function editsOfIssue(
  { decisions }: Inspection,
  assessment: Assessment,
  wish: IssueWish,
  open: ReturnType<typeof openPoints>,
): Edit[] {
  const numbers = Object.fromEntries(assessment.findings.map(({ id, number }) => [id, number]));
  const known = decisions.find(({ id }) => id === NUMBERS)?.['numbers'] as object | undefined;
  const kept = { id: NUMBERS, kind: NUMBERS, reason: '', numbers: { ...known, ...numbers } };
  const limits = { id: ulid(), kind: 'issue-with-limits', reason: wish.limits, open };
  return [
    { path: ['decisions', NUMBERS], value: kept },
    ...(wish.limits && open.length > 0 ? [{ path: ['decisions', limits.id], value: limits }] : []),
  ];
}

/**
 * Issues the report of a job: refuses while something holds it back, freezes its three documents, the
 * PDFs, the calendar and the inspection file under one seal, and keeps the numbers of its findings.
 */
export async function issueReport(
  db: Database,
  stores: MediaStores,
  jobId: string,
  wish: IssueWish,
  print: Print,
  nowMs: number,
): Promise<Issued> {
  const { inspection: stored, rev } = loadStored(db, jobId)!;
  const found = assessed(stored);
  const [latest] = listIssued(db, jobId);
  if (latest && !wish.reason)
    throw new Refusal(400, 'no-reason', 'Say why the report is amended: the new version tells it.');
  const edits = editsOfIssue(stored, found, wish, openPoints(found, wish));
  const inspection = withFirm(applyEdits(stored, edits), firmFor(db, stored.job));
  const assessment = assessed(inspection);
  const number = (latest?.number ?? 0) + 1;
  const issuedAt = nowOf(inspection, nowMs);
  const ids = chooseStills(assessment).map(({ photoId }) => photoId);
  const stills = await loadStills(db, stores, jobId, ids);
  const frozen = freezeReport(assessment, {
    number,
    issuedAt,
    reason: wish.reason,
    before: latest ? loadFrozen(db, jobId, latest.number) : null,
    stills: [...stills].map(([id, { data }]) => ({ id, sha256: hashOf(data) })),
    more: compareWithEarlier(db, assessment),
  });
  const text = writeInspectionFile(inspection);
  const { paper } = reportOptions(assessment.settings);
  const tree = Buffer.from(JSON.stringify(frozen));
  // The seal is over the PDFs as well; what they can carry themselves is the hash of what they print.
  const content = hashOf(tree).slice(0, CONTENT_DIGITS);
  const footer = `${inspection.property.address} · version ${number}, issued ${sayInstant(issuedAt)} · content ${content}`;
  const at = new Date(nowMs);
  const pdfs = await Promise.all(
    READERS.map(async (reader): Promise<IssuedFile> => {
      const wishes = {
        title: `${frozen.title}: ${frozen.headline}`,
        author: inspection.job.inspector,
        blocks: frozen.documents[reader],
        section: frozen.drawings.paper,
        paper,
        footer,
        stills,
        at,
      };
      return { name: `${reader}.pdf`, type: PDF, bytes: await print(wishes) };
    }),
  );
  const files: IssuedFile[] = [
    { name: TREE, type: 'application/json', bytes: tree },
    { name: 'inspection.chert.json', type: 'application/json', bytes: Buffer.from(text) },
    { name: 'calendar.ics', type: 'text/calendar', bytes: Buffer.from(writeCalendar(assessment)) },
    ...pdfs,
  ];
  const head = { number, issuedAt, headline: frozen.headline, reason: wish.reason };
  const issued = db
    .transaction(() => {
      // The printing took a moment: what is frozen must still be what there is.
      if (revOf(db, jobId) !== rev) throw changedMeanwhile();
      storeOwnEdits(db, jobId, edits, { id: ulid(), now: at.toISOString() });
      return storeIssued(db, jobId, head, files);
    })
    .immediate();
  if (!issued) throw changedMeanwhile();
  return issued;
}

const changedMeanwhile = () =>
  new Refusal(
    409,
    'changed-meanwhile',
    'The job was changed while its report was printed. Nothing was issued; issue it again.',
  );
