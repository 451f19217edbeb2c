import type { Database } from 'better-sqlite3';
import type { Attachment, MailAdapter } from './mail';

/** A message in the simulated outbox. */
export type Sent = {
  readonly id: string;
  readonly jobId: string | null;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly sentAt: string;
  readonly attachments: readonly {
    readonly name: string;
    readonly type: string;
    readonly size: number;
  }[];
};

/** A mail service that keeps what it is given: nothing leaves this machine. */
export function simulatedOutbox(
  db: Database,
  jobId: string,
  newId: () => string,
  now: () => string,
): MailAdapter {
  return {
    send: async (message) => {
      const receipt = { id: newId(), acceptedAt: now() };
      db.transaction(() => {
        db.prepare(
          'INSERT INTO outbox (id, job_id, recipient, subject, body, sent_at) VALUES (?, ?, ?, ?, ?, ?)',
        ).run(receipt.id, jobId, message.to, message.subject, message.text, receipt.acceptedAt);
        const add = db.prepare(
          'INSERT INTO outbox_attachments (message_id, position, name, type, bytes) VALUES (?, ?, ?, ?, ?)',
        );
        for (const [at, { name, type, bytes }] of message.attachments.entries())
          add.run(receipt.id, at, name, type, bytes);
      })();
      return receipt;
    },
  };
}

type Row = Omit<Sent, 'attachments'>;

/** What was sent, the latest first; of one job when it is named. */
export function listOutbox(db: Database, jobId?: string): Sent[] {
  const rows = db
    .prepare<[string | null, string | null], Row>(
      `SELECT id, job_id AS jobId, recipient AS "to", subject, body AS text, sent_at AS sentAt
       FROM outbox WHERE ? IS NULL OR job_id = ? ORDER BY sent_at DESC, id DESC LIMIT 200`,
    )
    .all(jobId ?? null, jobId ?? null);
  const attachments = db.prepare<[string], Sent['attachments'][number]>(
    'SELECT name, type, length(bytes) AS size FROM outbox_attachments WHERE message_id = ? ORDER BY position',
  );
  return rows.map((row) => ({ ...row, attachments: attachments.all(row.id) }));
}

/** One attachment of a message; `null` when there is none. */
export function findAttachment(
  db: Database,
  messageId: string,
  position: number,
): Attachment | null {
  return (
    db
      .prepare<[string, number], Attachment>(
        'SELECT name, type, bytes FROM outbox_attachments WHERE message_id = ? AND position = ?',
      )
      .get(messageId, position) ?? null
  );
}
