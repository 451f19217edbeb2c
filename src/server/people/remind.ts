import type { Database } from 'better-sqlite3';
import { ulid } from 'ulid';
import { hasRight, type Role } from '#core/office/roles';
import { type DueItem } from '#core/schedule/due';
import { fileMessage } from '../delivery/outbox';
import { readDue } from '../due';
import { prepared } from '../prepared';

type Reminded = {
  readonly id: string;
  readonly name: string;
  readonly mail: string;
  readonly role: Role;
};

const lineOf = ({ title, says, when, inDays, press }: DueItem, origin: string) => {
  const late = inDays < 0 ? `, ${-inDays} ${inDays === -1 ? 'day' : 'days'} late` : '';
  return `${when}${late}: ${title}. ${says}\n  ${origin}${press.href}`;
};

/** What is due today, or late, and theirs; to the office also what is nobody's. */
const theirs = (items: readonly DueItem[], { id, role }: Reminded) =>
  items.filter(
    ({ inDays, personId }) =>
      inDays <= 0 && (personId === id || (personId === '' && hasRight(role, 'agree', false))),
  );

/**
 * Files a message in the outbox for everybody who wants it and has something due, once on each day.
 *
 * @param today `YYYY-MM-DD`.
 * @returns the messages' ids.
 */
export function remind(
  db: Database,
  today: string,
  wishes: { readonly origin: string; readonly hasMail: boolean; readonly now: string },
): string[] {
  const people = prepared<[string], Reminded>(
    db,
    `SELECT id, name, mail, role FROM accounts
     WHERE closed_at IS NULL AND reminded = 1 AND password IS NOT NULL
       AND (reminded_on IS NULL OR reminded_on < ?)`,
  ).all(today);
  if (people.length === 0) return [];
  const items = readDue(db, today);
  return people.flatMap((person) => {
    const own = theirs(items, person);
    const note = () =>
      prepared(db, 'UPDATE accounts SET reminded_on = ? WHERE id = ?').run(today, person.id);
    if (own.length === 0) {
      note();
      return [];
    }
    const id = ulid(Date.parse(wishes.now));
    const lines = own.map((item) => lineOf(item, wishes.origin)).join('\n\n');
    const text = `Hello ${person.name},\n\nthis is due:\n\n${lines}\n\nTo stop these emails, go to ${wishes.origin}/me.`;
    const subject = own.length === 1 ? 'One thing is due' : `${own.length} things are due`;
    const message = { to: person.mail, subject, text, attachments: [] };
    db.transaction(() => {
      fileMessage(db, message, { id, jobId: null, at: wishes.now, isWaiting: wishes.hasMail });
      note();
    })();
    return [id];
  });
}
