import { createHash } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { applyEdits, doMeet, type Edit, sameJson, valueAt } from '#core/model/job/edits';
import { checkEdits } from '#core/model/job/facts';
import type { Overwritten, Told } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { accessNameAt, freeLabel, labelOf, runNameAt } from '#core/model/job/labels';
import { refuseEmpty, refuseLost, refuseOddIds, refuseOthers } from './edit-checks';
import { refuseConflict, refuseFaults, refuseUnknown } from './http/answer';
import { loadEvenRemoved, loadFacts, storeDifference } from './inspections';
import { type Step, stepJob } from './jobs';
import { noteIfLate } from './late-work';
import { prepared } from './prepared';
import { type Caller, personOf } from './security/caller';

/** Edits as a device sends them. */
export type SentEdits = {
  /** The change's own id: sent twice, it is laid once. */
  readonly id: string;
  /** The device that made it. */
  readonly device: string;
  /** When, by that device's clock. */
  readonly saidAt: string;
  /** How far that clock is ahead of this server's, ms, as far as the device knows; behind: negative. */
  readonly aheadMs?: number;
  /** The revision of the job that the device saw. */
  readonly base: number;
  /** Set where this server once took it and a restore has lost it: what came later than this stands. */
  readonly asOf?: string;
  readonly edits: readonly Edit[];
  /** Who sends them. */
  readonly caller: Caller | null;
};

export type EditsOutcome = Step & {
  readonly outcome: 'stored' | 'known';
  /** Whether the server laid something else than was sent: a label that was taken, a field that stood. */
  readonly isOtherwise: boolean;
};

type Row = {
  readonly seq: number;
  readonly path: string;
  readonly was: string | null;
  readonly value: string | null;
  readonly device: string;
  readonly saidAt: string;
  readonly at: string;
  readonly madeAt: string;
  readonly underSeq: number | null;
  readonly person: string | null;
};

const COLUMNS = `seq, path, was, value, device, said_at AS saidAt, at, coalesce(made_at, at) AS madeAt,
  under_seq AS underSeq,
  (SELECT a.name FROM sessions AS s JOIN accounts AS a ON a.id = s.account_id WHERE s.id = edits.session) AS person`;

const text = (value: unknown) => (value === undefined ? null : JSON.stringify(value));
const readPath = ({ path }: Pick<Row, 'path'>) => JSON.parse(path) as string[];
const field = <K extends string>(key: K, json: string | null) =>
  (json === null ? {} : { [key]: JSON.parse(json) as unknown }) as { readonly [P in K]?: unknown };

/** Gives a new run or access point another label where its own is taken. */
function withFreeLabel(inspection: Inspection, edit: Edit): Edit {
  const [section, id, ...rest] = edit.path;
  if ((section !== 'runs' && section !== 'accessPoints') || rest.length > 0) return edit;
  const others = inspection[section].filter((one) => one.id !== id);
  const part = edit.value as { readonly id: string; readonly label?: string };
  if (!others.some((one) => labelOf(one) === labelOf(part))) return edit;
  const nameAt = section === 'runs' ? runNameAt : accessNameAt;
  return { ...edit, value: { ...part, label: freeLabel(others, nameAt) } };
}

type KnownChange = { readonly rev: number; readonly content: string | null };

const findChange = (db: Database, jobId: string, id: string): KnownChange | undefined =>
  prepared<[string, string], KnownChange>(
    db,
    'SELECT rev, content FROM changes WHERE job_id = ? AND id = ?',
  ).get(jobId, id);

/** What a change says, as a hash: the same change sent again is known by it. */
const contentOf = ({ edits }: SentEdits) =>
  createHash('sha256').update(JSON.stringify(edits)).digest('hex');

/** When a change was made, by its device's clock set right; never ahead of this server's. */
function madeAtOf({ saidAt, aheadMs = 0 }: SentEdits, now: string): string {
  const madeMs = Date.parse(saidAt) - aheadMs;
  return Number.isFinite(madeMs) ? new Date(Math.min(madeMs, Date.parse(now))).toISOString() : now;
}

/** The edits of a change that stand, and those over which another device has set something made later. */
function parted(
  { edits, asOf }: SentEdits,
  others: readonly Row[],
  madeAt: string,
): { readonly wanted: readonly Edit[]; readonly lost: readonly (readonly [Edit, Row])[] } {
  const standing = others.filter(({ underSeq }) => underSeq === null);
  const lost: (readonly [Edit, Row])[] = [];
  const wanted = edits.filter((edit) => {
    const meets = standing.filter((row) => doMeet(readPath(row), edit.path));
    const later = meets.find((row) => row.madeAt > madeAt);
    if (later) lost.push([edit, later]);
    return !later && !meets.some((row) => asOf !== undefined && row.at > asOf);
  });
  return { wanted, lost };
}

/**
 * Lays a device's edits over a job as it stands now, field by field: of two changes of one field that did not see each
 * other the one made later stands, and both are told. Reads, checks and writes in one immediate transaction: nothing
 * that came in between is lost. A job that was taken off the list takes them too.
 *
 * @throws a refusal when there is no such job, when the job would not be whole afterwards, or when the change's id was
 *   used for another.
 */
export function storeEdits(
  db: Database,
  jobId: string,
  sent: SentEdits,
  now: string,
): EditsOutcome {
  refuseEmpty(sent);
  const store = db.transaction((): EditsOutcome => {
    const needsLogs = sent.edits.some(({ path }) => path[0] === 'ties');
    const stored = loadEvenRemoved(db, jobId, needsLogs);
    if (!stored) throw refuseUnknown('job');
    const { inspection: before, rev } = stored;
    refuseOthers(db, before, sent);
    const known = findChange(db, jobId, sent.id);
    const content = contentOf(sent);
    if (known && known.content !== null && known.content !== content)
      throw refuseConflict('change');
    if (known) return { outcome: 'known', before: rev, rev, isOtherwise: false };
    const others = editsSince(db, jobId, sent);
    const madeAt = madeAtOf(sent, now);
    const { wanted, lost } = parted(sent, others, madeAt);
    const edits = wanted.map((edit) => withFreeLabel(before, edit));
    refuseOddIds(before, edits);
    const checked = checkEdits(before, edits);
    if (!checked.ok) throw refuseFaults(checked.faults);
    const isOtherwise =
      wanted.length < sent.edits.length || edits.some((edit, index) => edit !== wanted[index]);
    storeDifference(db, before, checked.value);
    refuseLost(checked.value, loadEvenRemoved(db, jobId, needsLogs)!.inspection, edits);
    const step = stepJob(db, jobId);
    prepared(db, 'INSERT INTO changes (job_id, id, rev, content) VALUES (?, ?, ?, ?)').run(
      jobId,
      sent.id,
      step.rev,
      content,
    );
    takeDown(db, jobId, sent, { before, edits, lost, others, rev: step.rev, now, madeAt });
    const bytes = Buffer.byteLength(JSON.stringify(sent.edits));
    noteIfLate(db, jobId, sent.caller, { kind: 'facts', count: sent.edits.length, bytes }, now);
    return { outcome: 'stored', ...step, isOtherwise };
  });
  return store.immediate();
}

/** What other devices set since the revision that this one saw, the latest first. */
function editsSince(db: Database, jobId: string, { base, device }: SentEdits): Row[] {
  return prepared<[string, number, string], Row>(
    db,
    `SELECT ${COLUMNS} FROM edits WHERE job_id = ? AND rev > ? AND device <> ? ORDER BY seq DESC`,
  ).all(jobId, base, device);
}

function takeDown(
  db: Database,
  jobId: string,
  sent: Pick<SentEdits, 'id' | 'device' | 'saidAt' | 'caller'>,
  laid: {
    readonly before: Inspection;
    readonly edits: readonly Edit[];
    readonly lost: readonly (readonly [Edit, Row])[];
    readonly others: readonly Row[];
    readonly rev: number;
    readonly now: string;
    readonly madeAt: string;
  },
): void {
  const insert = prepared(
    db,
    `INSERT INTO edits (job_id, change_id, rev, path, was, value, device, said_at, at, made_at, over_seq, under_seq, session)
     VALUES (@jobId, @changeId, @rev, @path, @was, @value, @device, @saidAt, @at, @madeAt, @overSeq, @underSeq, @session)`,
  );
  const row = (edit: Edit, was: unknown, beside: { overSeq?: number; underSeq?: number }) => ({
    jobId,
    changeId: sent.id,
    rev: laid.rev,
    path: JSON.stringify(edit.path),
    was: text(was),
    value: text(edit.value),
    device: sent.device,
    saidAt: sent.saidAt,
    at: laid.now,
    madeAt: laid.madeAt,
    overSeq: beside.overSeq ?? null,
    underSeq: beside.underSeq ?? null,
    session: personOf(sent.caller)?.sessionId ?? null,
  });
  let { before } = laid;
  for (const [edit, later] of laid.lost)
    insert.run(row(edit, valueAt(before, edit.path), { underSeq: later.seq }));
  for (const edit of laid.edits) {
    const was = valueAt(before, edit.path);
    before = applyEdits(before, [edit]);
    if (sameJson(was, edit.value)) continue;
    const over = laid.others.find((one) => doMeet(readPath(one), edit.path));
    insert.run(row(edit, was, over ? { overSeq: over.seq } : {}));
  }
}

/** The device that stands for the server itself: an issue keeps the numbers of its findings. */
const SERVER = 'server';

/** Lays edits of the server's own. Call it in the transaction that needs them. */
export function storeOwnEdits(
  db: Database,
  jobId: string,
  edits: readonly Edit[],
  change: { readonly id: string; readonly now: string },
): Step {
  const { inspection: before } = loadFacts(db, jobId)!;
  storeDifference(db, before, applyEdits(before, edits));
  const step = stepJob(db, jobId);
  const sent = { id: change.id, device: SERVER, saidAt: change.now, caller: null };
  const { now } = change;
  const laid = { before, edits, lost: [], others: [], rev: step.rev, now, madeAt: now };
  takeDown(db, jobId, sent, laid);
  return step;
}

type OverRow = Row & {
  readonly overValue: string | null;
  readonly overDevice: string;
  readonly overAt: string;
};

/** The most of a job's history that is read at once. */
const MOST_TOLD = 500;

function readRow({ seq, was, value, device, saidAt, at, person, underSeq, ...row }: Row): Told {
  return {
    ...(underSeq === null ? {} : { isUnder: true }),
    seq,
    path: readPath(row),
    ...field('was', was),
    ...field('value', value),
    device,
    saidAt,
    at,
    ...(person === null ? {} : { person }),
  };
}

/** What was ever set in a job, the latest first. */
export function listEdits(db: Database, jobId: string): Told[] {
  return prepared<[string], Row>(
    db,
    `SELECT ${COLUMNS} FROM edits WHERE job_id = ? ORDER BY seq DESC LIMIT ${MOST_TOLD}`,
  )
    .all(jobId)
    .map(readRow);
}

/** What two devices set without seeing each other, the latest first: which stands, and over which. */
export function listOverwritten(db: Database, jobId: string): Overwritten[] {
  const rows = prepared<[string], OverRow>(
    db,
    `SELECT e.seq, e.path, e.was, e.value, e.device, e.said_at AS saidAt, e.at, e.at AS madeAt, NULL AS underSeq,
              (SELECT a.name FROM sessions AS s JOIN accounts AS a ON a.id = s.account_id WHERE s.id = e.session) AS person,
              o.value AS overValue, o.device AS overDevice, o.at AS overAt, max(e.seq, o.seq) AS toldSeq
       FROM edits AS e JOIN edits AS o ON o.seq = e.over_seq OR o.under_seq = e.seq
       WHERE e.job_id = ? AND e.under_seq IS NULL ORDER BY toldSeq DESC LIMIT ${MOST_TOLD}`,
  ).all(jobId);
  return rows.map(({ overValue, overDevice, overAt, ...row }) => ({
    ...readRow(row),
    over: { ...field('value', overValue), device: overDevice, at: overAt },
  }));
}
