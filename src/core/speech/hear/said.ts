import type { Pass } from '../../catalogue/vocabulary';
import type { EntryDraft } from '../../model/log/entry';
import type { Understood } from '../kept';
import type { HeardEntry } from './heard';

/** From here on everything is said again. */
export const WRAPS_UP =
  /\b(?:overall|in summary|to (?:summarize|sum (?:(?:it|this|that|things|everything) )?up|recap|wrap (?:(?:it|this|things) )?up)|all in all|bottom line|in conclusion|so what we(?:'ve| have)? (?:got|have|found|saw)|final thoughts|that's about it|to go over)\b/i;
export const TURNS_BACK =
  /(?<!\b(?:if|when|before|after|can|should|would|could)(?: (?:i|we|you|they))? )\b(?:(?:coming|come|pulling|pull|heading|head|going|backing|on (?:my|our|the) way) (?:on )?(?:back|out of here|home)|on the way back|way back|bring(?:ing)? (?:her|it|him) back|pulling out|retrieving)\b(?! (?:and (?:try|do|look|check|get|scope|see)|to (?:this|that|it)\b|later|after|another|next (?:time|week|day)))/i;
export const GOES_OUT = /\b(?:on the way out|going back (?:out|in)|pushing (?:back )?out)\b/i;
/** Before what is meant in place of what was just said. */
export const TAKES_BACK =
  /^(?:(?:no(?=[,.])|no wait|oh no|wait|sorry|actually|correction|excuse me|or rather|rather|my mistake|scratch that)[\s,.-]+)+/i;
/** "Good.": to whoever stands by, and no word on the pipe. */
export const IS_CHEER =
  /^\W*(?:(?:okay|ok|all right|alright|oh|very)[, ]+)?(?:good|nice|great|perfect|awesome|excellent)\W*$/i;
/** "it's a drip line never mind": said, and let go in one breath. */
export const NEVER_MIND = /\w\W+never ?mind\W*$/i;
export const STOPS_THERE =
  /\bthat's (?:the end|it)\b|\b(?:stop|stopping|quit|done|end) (?:right )?(?:here|there)\b|\b(?:over|past|through|by|around) (?:that|this|it)\b/i;
export const AFTER_ALL =
  /\b(?:after all|it turns out|turns out|actually|on second (?:look|thought))\b/i;
/** Two counters this far apart tell a footage that was said from one that was not, feet. */
export const NUDGE_FT = 0.01;

/** A counter back at the opening is out by no more, feet. */
export const HOME_WITHIN_FT = 3;

/** Nobody goes back further between two sentences, feet. */
const BACK_WITHIN_FT = 6;

/** "clay six" at eighteen feet: six inches, for the camera does not jump back; "ABS four" before any footage as well. */
const isLikely = (drafts: readonly EntryDraft[], counterFt: number | null, pass: Pass): boolean =>
  drafts.every((draft) => {
    const { readingFt } = draft;
    if (readingFt === null) return true;
    if (counterFt === null) return draft.kind !== 'material' || draft.diameterIn !== undefined;
    return pass === 'back' || readingFt >= counterFt - BACK_WITHIN_FT;
  });

/** What a sentence says for the log: of two readings the likelier; of a bare "home" nothing. */
export function saidDrafts(
  { choices, drafts, kept }: Understood,
  counterFt: number | null,
  pass: Pass,
): readonly EntryDraft[] {
  if (kept !== null) return [];
  const said = choices.find((one) => isLikely(one.drafts, counterFt, pass))?.drafts ?? drafts;
  return choices.length === 1 && said.some(({ kind }) => kind === 'home') ? [] : said;
}

/** The opening that a run goes in by is no feature of the line. */
export const isOpeningItself = (draft: EntryDraft): boolean =>
  draft.kind === 'feature' &&
  ['cleanout', 'property-line-cleanout', 'riser', 'vent', 'access-point'].includes(draft.feature);

/** A draft at a footage that was said in the same breath; without one its place stays unknown. */
export function placeAt(draft: EntryDraft, readingFt: number | null): EntryDraft {
  const { toReadingFt: _to, ...rest } = draft as EntryDraft & { toReadingFt?: number };
  return { ...rest, readingFt };
}

export const lastFtOf = (draft: EntryDraft): number | null =>
  'toReadingFt' in draft && draft.kind !== 'advice'
    ? (draft.toReadingFt ?? draft.readingFt)
    : draft.readingFt;

/** "so that's scale in the iron, roots at three joints, a belly and one hole": nothing but what was said before. */
export function isListing(
  text: string,
  drafts: readonly EntryDraft[],
  entries: readonly HeardEntry[],
): boolean {
  const kinds = drafts.flatMap((draft) => (draft.kind === 'defect' ? [draft] : []));
  const isKnown = ({ defect }: (typeof kinds)[number]) =>
    entries.some((entry) => entry.kind === 'defect' && entry.defect === defect);
  return (
    /^(?:(?:okay|alright|all right|ok)[, ]+)?(?:so|anyway|again)\b/i.test(text) &&
    !/\d/.test(text) &&
    new Set(kinds.map(({ defect }) => defect)).size >= 2 &&
    kinds.every(isKnown)
  );
}
