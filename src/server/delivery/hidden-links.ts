import type { Database } from 'better-sqlite3';
import { prepared } from '../prepared';

/** What stands in a message of the outbox where its link was. */
export const LINK_HIDDEN = '[link hidden]';

/** Keeps the link of a message apart from it until the message is sent. */
export function hideLink(db: Database, messageId: string, link: string): void {
  prepared(db, 'INSERT INTO hidden_links (message_id, link) VALUES (?, ?)').run(messageId, link);
}

/** The text of a message as it is sent: with its link, while that is kept. */
export function withLink(db: Database, messageId: string, text: string): string {
  const row = prepared<[string], { link: string }>(
    db,
    'SELECT link FROM hidden_links WHERE message_id = ?',
  ).get(messageId);
  return row ? text.replace(LINK_HIDDEN, row.link) : text;
}

/** Forgets the link of a message that was sent or given up. */
export function forgetLink(db: Database, messageId: string): void {
  prepared(db, 'DELETE FROM hidden_links WHERE message_id = ?').run(messageId);
}
