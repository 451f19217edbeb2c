import type { Entry, EntryDraft } from '../model/log/entry';
import type { CalloutContext } from './draft';

/** Kinds that can say what a flag was about. */
const SETTLES: readonly EntryDraft['kind'][] = ['defect', 'feature', 'material', 'unseen'];
/** An open flag this close to what is said now was about it, feet. */
const SETTLES_WITHIN_FT = 2;

/** What a thing is, for telling whether two call-outs are about the same one. */
export function thingOf(draft: EntryDraft): string {
  if (draft.kind === 'defect') return `defect ${draft.defect}`;
  return draft.kind === 'feature' ? `feature ${draft.feature}` : draft.kind;
}

/** Reads a flag's own words, as things that may be there. */
export type ReadWords = (words: string, flag: Entry) => readonly EntryDraft[];

/**
 * A thing said where a flag waits settles the flag: one press says only "something here". A flag with words of
 * its own is settled by what is about the same thing, else by hand.
 */
export function settleFlag(
  draft: EntryDraft,
  context: CalloutContext,
  readWords: ReadWords,
): EntryDraft {
  const { readingFt } = draft;
  if (!SETTLES.includes(draft.kind) || draft.replaces !== undefined || readingFt === null)
    return draft;
  const away = (entry: Entry) => Math.abs((entry.readingFt ?? Infinity) - readingFt);
  const mayBeAbout = (flag: Entry) => {
    const words = flag.note?.trim() ?? '';
    return words === '' || readWords(words, flag).some((one) => thingOf(one) === thingOf(draft));
  };
  const flag = context.standing
    .filter((entry) => entry.kind === 'flag' && away(entry) <= SETTLES_WITHIN_FT)
    .filter(mayBeAbout)
    .sort((a, b) => away(a) - away(b))[0];
  return flag ? { ...draft, replaces: flag.id } : draft;
}
