import { expect, it } from 'vitest';
import type { Contact } from '#core/office/contacts';
import { contactOf, keepContact, listContacts, removeContact } from './contacts';
import { freshDatabase } from './testing/fresh-database';

const its = freshDatabase();
const dana: Contact = {
  id: '',
  kind: 'agent',
  name: 'Dana Reyes',
  firm: 'Reyes Realty',
  phone: '555 0134',
  mail: 'dana@reyes.example',
  note: '',
};

it('is kept once, changed where it is known, and removed', () => {
  expect(keepContact(its.db, dana)).toBeNull();
  expect(keepContact(its.db, { ...dana, name: 'adam Orr', mail: '' })).toBeNull();
  const [adam, kept] = listContacts(its.db);
  expect([adam!.name, kept!.name]).toEqual(['adam Orr', 'Dana Reyes']);
  expect(keepContact(its.db, { ...kept!, phone: '555 0199' })).toBeNull();
  expect(listContacts(its.db)).toHaveLength(2);
  expect(listContacts(its.db)[1]).toMatchObject({ id: kept!.id, phone: '555 0199' });
  removeContact(its.db, adam!.id);
  expect(listContacts(its.db).map(({ name }) => name)).toEqual(['Dana Reyes']);
});

it.each([
  [{ name: '' }, 'Say the name.'],
  [{ mail: 'dana' }, 'Expected an email address, such as name@firm.example.'],
  [{ kind: 'king' as never }, 'That is too long, or not to be understood. Nothing was kept.'],
  [{ note: 'x'.repeat(2001) }, 'That is too long, or not to be understood. Nothing was kept.'],
])('%j is not kept: %s', (changes, why) => {
  expect(keepContact(its.db, { ...dana, ...changes })).toBe(why);
  expect(listContacts(its.db)).toEqual([]);
});

it('is read from a form without the blanks around', () => {
  const form: Record<string, string> = { name: ' Dana ', kind: 'buyer' };
  expect(contactOf((name) => form[name] ?? '')).toEqual({
    id: '',
    kind: 'buyer',
    name: 'Dana',
    firm: '',
    phone: '',
    mail: '',
    note: '',
  });
});
