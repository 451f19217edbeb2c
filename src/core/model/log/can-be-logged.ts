import { MOST_LENGTH, MOST_PROSE } from '../../base/most';
import type { EntryDraft } from './entry';

/**
 * Whether the log takes what the reader made of a line: no number and no text in it is beyond what an entry may
 * have. The schema that judges what comes from elsewhere says no more of such a draft (tested), and weighs more
 * than the screen that asks.
 */
export const canBeLogged = (draft: EntryDraft): boolean => isWithin(draft);

function isWithin(value: unknown): boolean {
  if (typeof value === 'number') return Math.abs(value) <= MOST_LENGTH;
  if (typeof value === 'string') return value.length <= MOST_PROSE;
  return typeof value !== 'object' || value === null || Object.values(value).every(isWithin);
}
