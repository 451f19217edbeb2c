import type { Database } from 'better-sqlite3';
import { addDays } from '#core/base/day';
import { USUAL_HOURS } from '#core/office/hours';
import { findSlots, type Slot, type SlotWish } from '#core/schedule/slots';
import { loadPreferences } from './preferences';
import { bookedBetween, listCrews } from './schedule';

/** So many times are offered. */
const MOST_SLOTS = 8;

export type OfferedSlot = Slot & { readonly name: string };

/** The first times at which somebody is free, with their names. */
export function offerSlots(db: Database, wish: SlotWish): OfferedSlot[] {
  const { firm, hours = USUAL_HOURS } = loadPreferences(db);
  const crews = listCrews(db, firm?.inspector);
  // Where nobody is known yet, whoever books is free.
  const known = crews.length > 0 ? crews : [{ id: '', name: '', home: null }];
  const names = new Map(known.map(({ id, name }) => [id, name]));
  const taken = bookedBetween(db, wish.from, addDays(wish.from, wish.days));
  return findSlots(known, taken, wish, hours)
    .slice(0, MOST_SLOTS)
    .map((slot) => ({ ...slot, name: names.get(slot.personId) ?? '' }));
}
