import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';
import { type Caller, callerHasRight, personOf } from '../security/caller';
import type { Attachment, Message } from './mail';

/** How a message stands. `kept`: no mail service is set up, and it stays here. */
export type MessageState = 'kept' | 'waiting' | 'sent' | 'bounced' | 'failed';

/** A message in the outbox. */
export type Sent = {
  readonly id: string;
  readonly jobId: string | null;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly sentAt: string;
  readonly state: MessageState;
  readonly tries: number;
  /** What the email service said last; empty before it said anything. */
  readonly answer: string;
  readonly nextTryAt: string | null;
  readonly attachments: readonly {
    readonly name: string;
    readonly type: string;
    readonly size: number;
  }[];
};

type Filing = {
  readonly id: string;
  /** `null` for mail to people of the firm. */
  readonly jobId: string | null;
  readonly at: string;
  /** Whether a mail service is to take it. */
  readonly isWaiting: boolean;
};

/** Files a message with its attachments, whole, before anything is sent: none is lost on the way. */
export function fileMessage(db: Database, message: Message, filing: Filing): void {
  const { id, jobId, at, isWaiting } = filing;
  db.transaction(() => {
    prepared(
      db,
      `INSERT INTO outbox (id, job_id, recipient, subject, body, sent_at, state, next_try_at)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    ).run(
      id,
      jobId,
      message.to,
      message.subject,
      message.text,
      at,
      isWaiting ? 'waiting' : 'kept',
      isWaiting ? at : null,
    );
    const add = prepared(
      db,
      'INSERT INTO outbox_attachments (message_id, position, name, type, bytes) VALUES (?, ?, ?, ?, ?)',
    );
    for (const [position, { name, type, bytes }] of message.attachments.entries())
      add.run(id, position, name, type, bytes);
  })();
}

type Row = Omit<Sent, 'attachments'>;
const COLUMNS = `id, job_id AS jobId, recipient AS "to", subject, body AS text, sent_at AS sentAt,
  state, tries, answer, next_try_at AS nextTryAt`;

/** Which messages are listed. */
type Wanted = {
  /** Those of one job; every job's where none is named. */
  readonly jobId?: string;
  /** Those that somebody may read; all of them where Chert itself looks. */
  readonly readBy?: Caller | null;
};

/** The messages, the latest first: an inspector's own jobs' alone, and mail to people for an owner alone. */
export function listOutbox(db: Database, wanted: Wanted = {}): Sent[] {
  const { jobId, readBy = { kind: 'system', reason: 'to look at the outbox' } } = wanted;
  const rows = prepared<object, Row>(
    db,
    `SELECT ${COLUMNS} FROM outbox
       WHERE (@jobId IS NULL OR job_id = @jobId)
         AND (@seesPeople OR job_id IS NOT NULL)
         AND (@seesAll OR job_id IN (SELECT id FROM jobs WHERE assigned_to = @whoId))
       ORDER BY sent_at DESC, id DESC LIMIT 200`,
  ).all({
    jobId: jobId ?? null,
    whoId: personOf(readBy)?.id ?? null,
    seesPeople: callerHasRight(db, readBy, 'people', false) ? 1 : 0,
    seesAll: callerHasRight(db, readBy, 'mail', false) ? 1 : 0,
  });
  const attachments = prepared<[string], Sent['attachments'][number]>(
    db,
    'SELECT name, type, length(bytes) AS size FROM outbox_attachments WHERE message_id = ? ORDER BY position',
  );
  return rows.map((row) => ({ ...row, attachments: attachments.all(row.id) }));
}

/** A filed message with all that goes with it, and how often it was tried; `null` when there is none. */
export function loadMessage(
  db: Database,
  id: string,
): (Message & Pick<Sent, 'state' | 'tries'>) | null {
  const row = prepared<[string], Row>(db, `SELECT ${COLUMNS} FROM outbox WHERE id = ?`).get(id);
  if (!row) return null;
  const attachments = prepared<[string], Attachment>(
    db,
    'SELECT name, type, bytes FROM outbox_attachments WHERE message_id = ? ORDER BY position',
  ).all(id);
  const { to, subject, text, state, tries } = row;
  return { to, subject, text, state, tries, attachments };
}

/** The job that a message is about, `null` for mail to people of the firm; `undefined` when there is no such message. */
export const jobOfMessage = (db: Database, id: string): string | null | undefined =>
  prepared<[string], { jobId: string | null }>(
    db,
    'SELECT job_id AS jobId FROM outbox WHERE id = ?',
  ).get(id)?.jobId;

/** One attachment of a message; `null` when there is none. */
export function findAttachment(
  db: Database,
  messageId: string,
  position: number,
): Attachment | null {
  return (
    prepared<[string, number], Attachment>(
      db,
      'SELECT name, type, bytes FROM outbox_attachments WHERE message_id = ? AND position = ?',
    ).get(messageId, position) ?? null
  );
}
