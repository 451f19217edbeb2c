import { addDays } from '#core/base/day';
import type { Contact } from '#core/office/contacts';
import { hasRight } from '#core/office/roles';
import type { SlotWish } from '#core/schedule/slots';
import * as contacts from '../contacts';
import { readDesk as desk } from '../desk';
import { readDue as due, settleDue as settle } from '../due';
import { refuseUnknown } from '../http/answer';
import { writeInvoices as invoices } from '../invoices';
import { revOf } from '../jobs';
import { localDay } from '../local-day';
import { namesOfPeople } from '../people/accounts';
import { findByFeed } from '../people/feed';
import { loadPreferences } from '../preferences';
import { bookedBetween, listCrews as crews } from '../schedule';
import { callerHasJobRight, callerHasRight, personOf } from '../security/caller';
import { offerSlots as slots } from '../slots';
import { jobService, service } from './service';

/** Jobs: those at work first, and all below. */
export const readDesk = service('read', ({ db, caller, nowMs }, query: string) =>
  desk(db, new Date(nowMs), query, personOf(caller)),
);

/** A week of the board: who scopes, and what is booked. */
export const readBoard = service('read', ({ db, caller }, week: readonly string[]) => {
  const { firm } = loadPreferences(db, personOf(caller));
  const cards = bookedBetween(db, week[0]!, week.at(-1)!);
  const known = crews(db, firm?.inspector);
  // Who left, or does something else now, still stands beside what was theirs.
  const names = namesOfPeople(db);
  const left = [...new Set(cards.map(({ personId }) => personId))].filter(
    (id) => names.has(id) && !known.some((crew) => crew.id === id),
  );
  return {
    cards,
    crews: [...known, ...left.map((id) => ({ id, name: names.get(id)!, home: null }))],
  };
});

/** Those whom a job can be given to; none where Chert has no people, or for who gives no jobs. */
export const listCrewsToAssign = service('book', ({ db, caller }) =>
  personOf(caller) && callerHasRight(db, caller, 'agree', false) ? crews(db) : [],
);

/** The first free times for a look. */
export const offerSlots = service('book', ({ db }, wish: SlotWish) => slots(db, wish));

/** Everything with a date across all jobs, each with whose it is and whether the caller may say that it is done. */
export const readDue = service('read', ({ db, caller, nowMs }) => {
  const person = personOf(caller);
  const names = namesOfPeople(db);
  return due(db, localDay(new Date(nowMs))).map((item) => ({
    ...item,
    person: person ? (names.get(item.personId) ?? 'unassigned') : item.personId,
    maySettle: () => callerHasJobRight(db, caller, 'agree', item.jobId),
  }));
});

/** Notes that something which was due is done, or takes that back. */
export const settleDue = jobService(
  'agree',
  ({ db, caller, nowMs }, jobId, key: string, isDone: boolean): void => {
    if (revOf(db, jobId) === null) throw refuseUnknown('job');
    settle(db, { jobId, key, isDone }, personOf(caller), new Date(nowMs).toISOString());
  },
);

export const listContacts = service('book', ({ db }) => contacts.listContacts(db));

/** Keeps a contact; why it cannot be kept, or `null`. */
export const keepContact = service('book', ({ db }, contact: Contact) =>
  contacts.keepContact(db, contact),
);

export const removeContact = service('book', ({ db }, id: string): void =>
  contacts.removeContact(db, id),
);

/** Fees and invoice numbers as CSV, from one day to another. */
export const writeInvoices = service('firm', ({ db }, from: string, until: string) =>
  invoices(db, from, until),
);

/** How far back and ahead the looks of a calendar go, days. */
const BACK_DAYS = 14;
const AHEAD_DAYS = 60;

/** What the private calendar address of somebody shows; `null` for one that opens none. */
export const readFeed = service('open', ({ db, nowMs }, secret: string) => {
  const whose = findByFeed(db, secret, nowMs);
  // A reader has no jobs, and the account may have changed since the address was made.
  if (!whose || !hasRight(whose.role, 'read', false)) return null;
  const today = localDay(new Date(nowMs));
  const isTheirs = ({ personId }: { readonly personId: string }) => personId === whose.id;
  return {
    name: whose.name,
    appointments: bookedBetween(db, addDays(today, -BACK_DAYS), addDays(today, AHEAD_DAYS)).filter(
      isTheirs,
    ),
    due: due(db, today).filter(isTheirs),
  };
});
