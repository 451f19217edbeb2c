import type { Database } from 'better-sqlite3';
import Joi from 'joi';
import { ulid } from 'ulid';
import { type Contact, CONTACT_KINDS, type ContactKind } from '#core/office/contacts';
import { prepared } from './prepared';

const COLUMNS = 'id, kind, name, firm, phone, mail, note';

/** Everybody outside the firm who is kept, by name. */
export const listContacts = (db: Database): Contact[] =>
  prepared<[], Contact>(
    db,
    `SELECT ${COLUMNS} FROM contacts ORDER BY name COLLATE NOCASE, id`,
  ).all();

const line = () => Joi.string().allow('').max(200);
const schema = Joi.object<Contact>({
  id: Joi.string().allow('').max(40),
  kind: Joi.string()
    .valid(...CONTACT_KINDS)
    .required(),
  name: Joi.string().min(1).max(200).required(),
  firm: line(),
  phone: line(),
  mail: Joi.string().email({ tlds: false }).allow('').max(200),
  note: Joi.string().allow('').max(2000),
});

/**
 * Keeps a contact, new where it has no id.
 *
 * @returns why it cannot be kept, as a sentence; `null` when it was.
 */
export function keepContact(db: Database, contact: Contact): string | null {
  const { error } = schema.validate(contact);
  const field = error?.details[0]?.path[0];
  if (field === 'name') return 'Say the name.';
  if (field === 'mail') return 'Expected an email address, such as name@firm.example.';
  if (error) return 'That is too long, or not to be understood. Nothing was kept.';
  prepared(
    db,
    `INSERT INTO contacts (id, kind, name, firm, phone, mail, note)
     VALUES (@id, @kind, @name, @firm, @phone, @mail, @note)
     ON CONFLICT (id) DO UPDATE SET kind = excluded.kind, name = excluded.name, firm = excluded.firm,
       phone = excluded.phone, mail = excluded.mail, note = excluded.note`,
  ).run({ ...contact, id: contact.id || ulid() });
  return null;
}

export function removeContact(db: Database, id: string): void {
  prepared(db, 'DELETE FROM contacts WHERE id = ?').run(id);
}

/** A contact as its form says it. */
export function contactOf(text: (name: string) => string): Contact {
  const field = (name: string) => text(name).trim();
  return {
    id: field('id'),
    kind: field('kind') as ContactKind,
    name: field('name'),
    firm: field('firm'),
    phone: field('phone'),
    mail: field('mail'),
    note: field('note'),
  };
}
