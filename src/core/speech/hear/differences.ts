import type { EntryDraft } from '../../model/log/entry';
import { sayEntry } from '../../model/log/say-entry';
import { thingOf } from '../settle-flag';
import type { Difference, HeardEntry } from './heard';
import type { Sentence } from './sentences';

/** What is said again in a wrap-up is the same thing within this, feet. */
const SAME_WITHIN_FT = 2;

const nearEnough = (a: number | null, b: number | null) =>
  a === null || b === null || Math.abs(a - b) <= SAME_WITHIN_FT;

/** Whether an entry lies where something is said to be clear. */
function isWithin(entry: HeardEntry, clear: Extract<EntryDraft, { kind: 'clear' }>): boolean {
  if (entry.readingFt === null || clear.readingFt === null) return true;
  const toFt = clear.toReadingFt;
  if (toFt === undefined) return true;
  const [from, to] = [Math.min(clear.readingFt, toFt), Math.max(clear.readingFt, toFt)];
  return entry.readingFt >= from - SAME_WITHIN_FT && entry.readingFt <= to + SAME_WITHIN_FT;
}

/** What a sentence of a wrap-up says otherwise than the draft: shown, and never logged. */
export function compareWithDraft(
  drafts: readonly EntryDraft[],
  logged: readonly HeardEntry[],
  { text }: Sentence,
): Difference[] {
  return drafts.flatMap((draft): Difference[] => {
    if (draft.kind === 'clear') {
      const against = logged.filter(
        (entry) =>
          entry.kind === 'defect' &&
          (draft.kinds === undefined || draft.kinds.includes(entry.defect)) &&
          isWithin(entry, draft),
      );
      return against.map((entry) => ({ says: text, logged: sayEntry(entry).title }));
    }
    const isTold = ['defect', 'feature', 'material', 'end'].includes(draft.kind);
    if (!isTold) return [];
    const same = logged.filter((entry) => thingOf(entry) === thingOf(draft));
    if (same.some((entry) => nearEnough(entry.readingFt, draft.readingFt))) return [];
    const [nearest] = same;
    return [{ says: text, logged: nearest ? sayEntry(nearest).title : null }];
  });
}
