import type { Database } from 'better-sqlite3';
import { sayGot } from '#core/base/fault';
import { applyEdits, doMeet, type Edit, sameJson, valueAt } from '#core/model/job/edits';
import { checkEdits } from '#core/model/job/facts';
import type { Overwritten, Told } from '#core/model/job/history';
import type { Inspection } from '#core/model/job/inspection';
import { accessNameAt, freeLabel, labelOf, runNameAt } from '#core/model/job/labels';
import { rightToSet } from '#core/office/roles';
import { refuseFaults, refuseUnknown } from './http/answer';
import { loadFacts, loadStored, storeDifference } from './inspections';
import { type Step, stepJob } from './jobs';
import { canScope } from './people/accounts';
import { prepared } from './prepared';
import { type Caller, callerHasRight, personOf, refusalTo } from './security/caller';

/** Edits as a device sends them. */
export type SentEdits = {
  /** The change's own id: sent twice, it is laid once. */
  readonly id: string;
  /** The device that made it. */
  readonly device: string;
  /** When, by that device's clock. */
  readonly saidAt: string;
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
  readonly person: string | null;
};

const COLUMNS = `seq, path, was, value, device, said_at AS saidAt, at,
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

function findChange(db: Database, jobId: string, id: string): number | null {
  const find = prepared<[string, string], { rev: number }>(
    db,
    'SELECT rev FROM changes WHERE job_id = ? AND id = ?',
  );
  return find.get(jobId, id)?.rev ?? null;
}

/**
 * Lays a device's edits over a job as it stands now, field by field. Reads, checks and writes in one
 * immediate transaction: nothing that came in between is lost.
 *
 * @throws a refusal when there is no such job, or when the job would not be whole afterwards.
 */
export function storeEdits(
  db: Database,
  jobId: string,
  sent: SentEdits,
  now: string,
): EditsOutcome {
  const store = db.transaction((): EditsOutcome => {
    const needsLogs = sent.edits.some(({ path }) => path[0] === 'ties');
    const stored = needsLogs ? loadStored(db, jobId) : loadFacts(db, jobId);
    if (!stored) throw refuseUnknown('job');
    const { inspection: before, rev } = stored;
    refuseOthers(db, before, sent);
    const known = findChange(db, jobId, sent.id);
    if (known !== null) return { outcome: 'known', before: rev, rev, isOtherwise: false };
    const others = editsSince(db, jobId, sent);
    const isLater = ({ path }: Edit) =>
      sent.asOf !== undefined &&
      others.some((row) => row.at > sent.asOf! && doMeet(readPath(row), path));
    const wanted = sent.edits.filter((edit) => !isLater(edit));
    const edits = wanted.map((edit) => withFreeLabel(before, edit));
    const checked = checkEdits(before, edits);
    if (!checked.ok) throw refuseFaults(checked.faults);
    const isOtherwise =
      wanted.length < sent.edits.length || edits.some((edit, index) => edit !== wanted[index]);
    storeDifference(db, before, checked.value);
    const step = stepJob(db, jobId);
    prepared(db, 'INSERT INTO changes (job_id, id, rev) VALUES (?, ?, ?)').run(
      jobId,
      sent.id,
      step.rev,
    );
    takeDown(db, jobId, sent, { before, edits, others, rev: step.rev, now });
    return { outcome: 'stored', ...step, isOtherwise };
  });
  return store.immediate();
}

/**
 * @throws what is said of a job that is not there, where somebody may not set one of the fields. Whose job it is,
 *   the office says alone.
 */
function refuseOthers(db: Database, { job }: Inspection, { caller, edits }: SentEdits): void {
  const person = personOf(caller);
  const isTheirs = person !== null && job.assignedTo === person.id;
  const may = ({ path }: Edit) =>
    path.join(' ') === 'job assignedTo'
      ? callerHasRight(db, caller, 'agree', false)
      : callerHasRight(db, caller, rightToSet(path), isTheirs);
  if (!edits.every(may)) throw refusalTo(caller, 'job');
  if (!person) return;
  for (const { path, value } of edits)
    if (path.join(' ') === 'job assignedTo' && value !== undefined) refuseNobody(db, value);
}

/** @throws a refusal when a job would be given to somebody who cannot scope it. */
export function refuseNobody(db: Database, id: unknown): void {
  if (typeof id === 'string' && canScope(db, id)) return;
  const expected = 'the id of an inspector’s or an owner’s account that is open';
  throw refuseFaults([{ path: 'job.assignedTo', expected, got: sayGot(id) }]);
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
    readonly others: readonly Row[];
    readonly rev: number;
    readonly now: string;
  },
): void {
  const insert = prepared(
    db,
    `INSERT INTO edits (job_id, change_id, rev, path, was, value, device, said_at, at, over_seq, session)
     VALUES (@jobId, @changeId, @rev, @path, @was, @value, @device, @saidAt, @at, @overSeq, @session)`,
  );
  let { before } = laid;
  for (const edit of laid.edits) {
    const was = valueAt(before, edit.path);
    before = applyEdits(before, [edit]);
    if (sameJson(was, edit.value)) continue;
    const over = laid.others.find((row) => doMeet(readPath(row), edit.path));
    insert.run({
      jobId,
      changeId: sent.id,
      rev: laid.rev,
      path: JSON.stringify(edit.path),
      was: text(was),
      value: text(edit.value),
      device: sent.device,
      saidAt: sent.saidAt,
      at: laid.now,
      overSeq: over?.seq ?? null,
      session: personOf(sent.caller)?.sessionId ?? null,
    });
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
  takeDown(db, jobId, sent, { before, edits, others: [], rev: step.rev, now: change.now });
  return step;
}

type OverRow = Row & {
  readonly overValue: string | null;
  readonly overDevice: string;
  readonly overAt: string;
};

/** The most of a job's history that is read at once. */
const MOST_TOLD = 500;

function readRow({ seq, was, value, device, saidAt, at, person, ...row }: Row): Told {
  return {
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

/** What two devices set without seeing each other, the latest first. */
export function listOverwritten(db: Database, jobId: string): Overwritten[] {
  const rows = prepared<[string], OverRow>(
    db,
    `SELECT e.seq, e.path, e.was, e.value, e.device, e.said_at AS saidAt, e.at,
              (SELECT a.name FROM sessions AS s JOIN accounts AS a ON a.id = s.account_id WHERE s.id = e.session) AS person,
              o.value AS overValue, o.device AS overDevice, o.at AS overAt
       FROM edits AS e JOIN edits AS o ON o.seq = e.over_seq
       WHERE e.job_id = ? ORDER BY e.seq DESC LIMIT ${MOST_TOLD}`,
  ).all(jobId);
  return rows.map(({ overValue, overDevice, overAt, ...row }) => ({
    ...readRow(row),
    over: { ...field('value', overValue), device: overDevice, at: overAt },
  }));
}
