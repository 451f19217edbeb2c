import type { AccessKind } from '../../catalogue/access/index';
import type { Facing } from '../../catalogue/vocabulary';
import type { Sentence } from './sentences';

/** How people name an opening; the more particular first. */
const SAID: readonly (readonly [AccessKind, RegExp])[] = [
  ['two-way-cleanout', /\b(?:two|2)[- ]way (?:clean ?out|co)\b|\bdouble clean ?out\b/i],
  ['property-line-cleanout', /\b(?:property line|sidewalk|curb|city) clean ?out\b/i],
  ['stack-cleanout', /\bstack clean ?out\b|\bclean ?out (?:on|in|at) the stack\b/i],
  ['roof-vent', /\b(?:roof|vent stack|roof vent|vent pipe|plumbing vent|from the vent)\b/i],
  [
    'pulled-toilet',
    /\b(?:pull(?:ed)? (?:the |a )?toilet|toilet (?:flange|pulled)|toilet(?:'s| is) (?:off|up|pulled)|closet flange|pulled toilet)\b/i,
  ],
  ['yard-riser', /\b(?:yard )?riser\b/i],
  ['cleanout', /\b(?:clean ?out|c\.?o\.?)\b/i],
  ['branch', /\b(?:sink (?:drain|arm)|tub drain|laundry standpipe|branch line|floor drain)\b/i],
];

/** Words by which a run is begun. */
const BEGINS =
  /\b(?:start(?:ing|ed)?(?: out)?|begin(?:ning)?|going in|go in|went in|set up|setting up|we're in|we are in|pushing in|put(?:ting)? (?:the camera|her|it) in|second run|next run|run (?:two|three|2|3)|now|okay so|this is|inspection|scoping|coming) ?(?:[\w' ]{0,24})\b(?:from|through|at|in|down|via|off)\b/i;
/** Why an opening was not used. */
const REFUSED =
  /\b(?:stuck|rusted|seized|frozen|won't (?:come|budge|turn|open)|wouldn't (?:come|budge|turn|open)|will not (?:come|budge|turn|open)|buried|paved over|covered|can(?:'|no)t (?:use|get|open)|couldn't (?:use|get|open|find)|could not (?:use|get|open|find)|not going to force|didn't want to force|too (?:small|tight)|blocked by|no access)\b/i;

export type Opening = { readonly kind: AccessKind; readonly words: string };

/** The opening that a sentence names; `null` where it names none. */
export function openingIn(text: string): Opening | null {
  const found = SAID.find(([, said]) => said.test(text));
  if (!found) return null;
  const [kind, said] = found;
  const at = said.exec(text)!.index;
  const words = /^[^.,;!?]*/.exec(text.slice(at))![0];
  return { kind, words: words.replace(/\s+(?:and|but|so|because|then)\b.*$/i, '').trim() };
}

/** Whether the opening is the one that was just used: "now from the same cleanout". */
export const saysSame = (text: string): boolean =>
  /\bsame (?:[\w-]+ )?(?:clean ?out|access|opening|hole|spot|place|riser|vent|one)\b/i.test(text);

/** The opening from which a sentence begins a run. */
export function beginsRun({ text }: Sentence): Opening | null {
  return BEGINS.test(text) && !REFUSED.test(text) ? openingIn(text) : null;
}

/** Said before an opening that is simply named: "alright, two way cleanout by the driveway". */
const NAMED_FIRST =
  /^(?:(?:al(?:l )?right|okay|ok|so|now|and|this is|we have|we've got|the|a|our|my|using|same)[, ]+)*$/i;

/** The opening that the first words come from, without any word of beginning: "in the line from the stack cleanout". */
export function comesFrom({ text }: Sentence): Opening | null {
  if (REFUSED.test(text)) return null;
  const said = SAID.find(([, pattern]) => pattern.test(text));
  const before = said ? text.slice(0, said[1].exec(text)!.index) : '';
  const isNamed = /\b(?:from|through|at|in|via|this is)\b/i.test(text) || NAMED_FIRST.test(before);
  return said && isNamed ? openingIn(text) : null;
}

/** "same cleanout, other way": the camera is turned round in the opening. */
export const turnsRound = ({ text }: Sentence): boolean =>
  saysSame(text) &&
  /\b(?:other|opposite) (?:way|direction)\b|\bturn(?:ed|ing)? (?:it |the camera |her )?around\b|\bthis time\b/i.test(
    text,
  );

/** "I couldn't find a cleanout so we've pulled the toilet": what was not used, and then what was. */
export const inOpeningParts = (text: string): string[] =>
  text
    .split(
      /,? (?=(?:so|but|and so|instead|then) (?:i|we|i'm|we're|i've|we've|i'll|we'll|it's|they)\b)/i,
    )
    .map((part) => part.replace(/^(?:so|but|and so|instead|then) /i, '').trim())
    .filter((part) => part !== '');

/** An opening that was tried and not used, with the words that say why. */
export function refusesOpening({ text }: Sentence): (Opening & { readonly why: string }) | null {
  const opening = REFUSED.test(text) ? openingIn(text) : null;
  return opening && { ...opening, why: text };
}

/** Whether a run was given up, by what is said of it. */
export const isGivenUp = (text: string): boolean =>
  /\b(?:abandon(?:ed|ing)?|giv(?:e|ing) up|gave up|calling (?:this|it) off)\b/i.test(text);

/** Which way the camera looks, where a sentence says so. */
export function facingIn(text: string): Facing | null {
  if (
    /\b(?:upstream|back (?:toward|towards|to|up to) the house|towards? the house|under the house)\b/i.test(
      text,
    )
  )
    return 'upstream';
  return /\b(?:downstream|(?:towards?|going to|headed to|heading to) the (?:street|main|city)|out to the street)\b/i.test(
    text,
  )
    ? 'downstream'
    : null;
}
