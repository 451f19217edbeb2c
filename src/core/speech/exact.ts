import type { EntryDraft } from '../model/log/entry';
import type { Sheet } from './sheet';

/** Fields of a position: said one by one, kept together. */
const POSITION = ['latDeg', 'lonDeg', 'accuracyFt'];

/** A value as written: a number, yes or no, else words. */
function readValue(text: string): unknown {
  if (text === 'true' || text === 'false') return text === 'true';
  return /^-?\d+(?:\.\d+)?$/.test(text) ? Number(text) : text;
}

/** Lays `field=value` pairs over a draft: the exact way to say what has no plain words; `without=field` takes one out. */
export function withExact(draft: EntryDraft, sheet: Sheet): EntryDraft {
  const pairs = sheet.terms.flatMap(({ kind, field, text }) =>
    kind === 'pair' && field !== undefined ? [[field, text] as const] : [],
  );
  if (pairs.length === 0) return draft;
  const laid = new Map<string, unknown>(Object.entries(draft));
  for (const [field, text] of pairs) {
    if (field === 'without') {
      laid.delete(text);
      continue;
    }
    if (LIST_FIELDS.includes(field)) {
      laid.set(field, text.split(','));
      continue;
    }
    const isText = TEXT_FIELDS.includes(field);
    const value = isText ? text : readValue(text);
    if (POSITION.includes(field))
      laid.set('position', { ...(laid.get('position') as object | undefined), [field]: value });
    else laid.set(field, value);
  }
  return Object.fromEntries(laid) as EntryDraft;
}

/** Fields that hold several kinds, parted by commas. */
export const LIST_FIELDS: readonly string[] = ['kinds', 'candidates'];

/** Fields that hold words even when these look like a number. */
const TEXT_FIELDS = [
  'form',
  'turns',
  'serves',
  'mark',
  'reference',
  'source',
  'fixture',
  'head',
  'what',
  'note',
  'replaces',
  'closes',
  'retracts',
  'confirms',
  'text',
  'does',
  'blockedBy',
];
