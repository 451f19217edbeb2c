import { isIdle } from '../heads';
import { readTerms } from '../sheet';
import type { Term } from '../terms';

/** What says that a sentence names something of the log. */
const HEADS = ['defect', 'feature', 'material', 'zone', 'end', 'surface', 'unseen', 'water', 'act'];
/** Whether anything is named. */
export const hasHead = (terms: readonly Term[]) =>
  terms.some(({ senses }) => HEADS.some((tag) => senses[tag] !== undefined));

const QUIET = ['idle', 'was', 'from', 'serves', 'certainty', 'pass', 'opens'];
const isQuiet = (term: Term) =>
  isIdle(term) ||
  term.senses['idle'] !== undefined ||
  (term.kind === 'phrase' && Object.keys(term.senses).every((tag) => QUIET.includes(tag)));

const saysNothingElse = (terms: readonly Term[]) =>
  terms.every((term) => term.amount !== null || isQuiet(term));

/** A bare number below this may be an hour, a count or a size. */
const LEAST_BARE_FT = 12.5;
/** "forty two, forty three": read off as the camera goes, feet. */
const READ_OFF_WITHIN_FT = 3;

/** The footage that a sentence says and nothing else with it: "that's at fifty seven feet", "twenty nine". */
export function footageAlone(text: string): number | null {
  const terms = readTerms(text);
  // "about eight feet of that": how long, and no place.
  if (!saysNothingElse(terms) || /\b(?:feet|foot|ft) of\b/i.test(text)) return null;
  const said = terms.flatMap(({ amount }) => (amount === null ? [] : [amount]));
  const feet = said.filter(
    ({ unit, link, to, value }) =>
      to === null &&
      (unit === 'ft' ||
        (unit === null && (link === 'at' || link === 'from' || value >= LEAST_BARE_FT))),
  );
  const [first, last] = [feet[0], feet.at(-1)];
  if (!first || !last || feet.length < said.length) return null;
  return Math.abs(last.value - first.value) <= READ_OFF_WITHIN_FT ? last.value : null;
}

const HERE = /\b(?:this|that|here|now|we're|we are|i'm|there|we've got|the camera|the line)\b/i;
const OF_LINE = /\b(?:joint|coupling|connection|camera|pipe)\b/i;

/** The one footage of a sentence that says nothing for the log: "this at thirty one is where the builder tied in". */
export function footageBeside(text: string): number | null {
  const terms = readTerms(text);
  // "twenty nine, that's the stack": read off before what is there.
  const isLed = Boolean(terms[0]?.amount) && terms[1]?.text === ',';
  if (!HERE.test(text) && !isLed) return null;
  const feet = terms.flatMap(({ amount }, at) =>
    amount !== null && amount.to === null && (amount.link === 'at' || (isLed && at === 0))
      ? [amount]
      : [],
  );
  const [only] = feet;
  const isFootage =
    only !== undefined &&
    (only.unit === 'ft' ||
      (only.unit === null && (only.value >= LEAST_BARE_FT || OF_LINE.test(text))));
  return feet.length === 1 && isFootage ? only.value : null;
}

/** The stretch that a sentence says and nothing else with it: "that's from eight to fifteen". */
export function stretchAlone(text: string): { from: number; to: number } | null {
  const terms = readTerms(text);
  if (hasHead(terms)) return null;
  const range = terms.find(
    ({ amount }) =>
      amount !== null && amount.to !== null && (amount.unit === null || amount.unit === 'ft'),
  )?.amount;
  if (range && range.to !== null) return { from: range.value, to: range.to };
  // "it starts around sixteen and runs to twenty one"
  const feet = terms.flatMap(({ amount }) =>
    amount !== null && amount.to === null && (amount.unit === null || amount.unit === 'ft')
      ? [amount]
      : [],
  );
  const [from, to] = feet;
  return feet.length === 2 && to!.link === 'to' && /\b(?:start|begin)/i.test(text)
    ? { from: from!.value, to: to!.value }
    : null;
}
