import { isIdle } from '../clauses';
import { readTerms } from '../sheet';
import type { Term } from '../terms';

/** What says that a sentence names something of the log. */
const HEADS = ['defect', 'feature', 'material', 'zone', 'end', 'surface', 'unseen', 'water', 'act'];
/** Whether anything is named. */
export const hasHead = (terms: readonly Term[]) =>
  terms.some(({ senses }) => HEADS.some((tag) => senses[tag] !== undefined));

const QUIET = ['idle', 'was', 'from', 'serves', 'certainty', 'pass'];
const isQuiet = (term: Term) =>
  isIdle(term) ||
  (term.kind === 'phrase' && Object.keys(term.senses).every((tag) => QUIET.includes(tag)));

const saysNothingElse = (terms: readonly Term[]) =>
  terms.every((term) => term.amount !== null || isQuiet(term));

/** The footage that a sentence says and nothing else with it: "that's at fifty seven feet". */
export function footageAlone(text: string): number | null {
  const terms = readTerms(text);
  if (!saysNothingElse(terms)) return null;
  const feet = terms.filter(
    ({ amount }) =>
      amount !== null &&
      amount.to === null &&
      (amount.unit === 'ft' || (amount.unit === null && amount.link === 'at')),
  );
  return feet.length === 1 ? feet[0]!.amount!.value : null;
}

/** The stretch that a sentence says and nothing else with it: "that's from eight to fifteen". */
export function stretchAlone(text: string): { from: number; to: number } | null {
  const terms = readTerms(text);
  if (hasHead(terms)) return null;
  const range = terms.find(
    ({ amount }) =>
      amount !== null && amount.to !== null && (amount.unit === null || amount.unit === 'ft'),
  )?.amount;
  return range && range.to !== null ? { from: range.value, to: range.to } : null;
}
