import type { EntryDraft } from '../model/log/entry';
import { wordsOf } from './clauses';
import type { CalloutContext, OtherReading } from './draft';
import { withExact } from './exact';
import type { Frame } from './frames/frame';
import { LED, SEEN } from './frames/index';
import { isHead } from './heads';
import { settleFlag } from './settle-flag';
import { type Doubt, openSheet, readTerms, type Sheet } from './sheet';
import { readAdvised } from './statements/advised';
import { readCandidates } from './statements/candidates';
import { readChanged } from './statements/changed';
import { readDenied } from './statements/denied';
import { maskLandmarks } from './statements/landmarks';
import { readFlows, readPraise } from './statements/praised';
import { ASIDE, type Clause, has, type Statement } from './statements/statement';
import { maskSupposed } from './statements/supposed';
import { readHouse, readPast, readZeroed } from './statements/told';
import type { Term, Unit } from './terms';

type Settled = ReadonlyMap<number, Unit>;

/** A clause read, with every reading that its numbers allow, the likeliest first. */
export type ReadClause = Statement & { readonly choices: readonly OtherReading[] };

type Seen = {
  readonly statement: Statement;
  readonly doubts: readonly Doubt[];
  readonly sheet: Sheet;
};

/** Asks frames in their order; the first that knows the words takes them. */
function readFrames(clause: Clause, frames: readonly Frame[]): Seen | null {
  for (const frame of frames) {
    const sheet = clause.open();
    const reading = frame(sheet, clause.context);
    if (!reading) continue;
    const statement = { ...reading, isPlaced: sheet.isPlaced() };
    return { statement, doubts: sheet.doubts(), sheet };
  }
  return null;
}

/** "going to clay" is a change of pipe and no plan. */
function isPlan({ terms }: Clause): boolean {
  const at = terms.findIndex(({ senses }) => senses['intended'] !== undefined);
  if (at < 0) return false;
  const after = terms[at + 1];
  const isChange =
    terms[at]!.text === 'going' &&
    (after?.senses['material'] ?? after?.senses['zone']) !== undefined;
  return !isChange;
}

const readPlan = (clause: Clause): Statement | null => (isPlan(clause) ? ASIDE : null);

/** "is that a root?": asked, and not answered. "roots 30?" is seen, and doubted. */
const ASKS =
  /\b(?:is|are|was|were|could|would|can|do|does|did|what|where|which|how|what's|whats|where's|wheres) (?:that|this|it|those|these|there|you|we|i|he|she|they|the|a)\b/i;
/** Subtitles put no marks: words that begin as a question does are one. */
const BEGINS_ASKING =
  /^(?:(?:so|and|now|okay|ok|well|hey|um|uh) )*(?:is|are|was|were|does|do|did|could) (?:that|this|it|those|these|there|they)\b/i;
const readQuestion = ({ words, terms }: Clause): Statement | null =>
  (terms.at(-1)?.text === '?' && ASKS.test(words)) ||
  (BEGINS_ASKING.test(words) && !has(terms, 'either'))
    ? ASIDE
    : null;

/** How a clause may be meant, before it is read for what it names. */
const MEANT: readonly ((clause: Clause) => Statement | null)[] = [
  readQuestion,
  readZeroed,
  readHouse,
  readAdvised,
  readPast,
  readPlan,
  readFlows,
  readPraise,
  readDenied,
  readCandidates,
  readChanged,
];

/** "a bump in the wall", "a thing hanging off the tee": nobody has a word for it, and what is named is where it is. */
function isUnnamed(terms: readonly Term[]): boolean {
  const odd = terms.findIndex(({ senses }) => senses['odd'] !== undefined);
  if (odd < 0 || terms.some(({ senses }) => senses['defect'] !== undefined)) return false;
  const isHeadOf = ({ senses }: Term) =>
    (senses['feature'] ?? senses['material'] ?? senses['zone']) !== undefined;
  // "a tee coming in", "a strange tee": it has its name.
  const after = terms[odd + 1];
  return !terms.slice(0, odd).some(isHeadOf) && !(after && isHeadOf(after));
}

/** Whether the words are in the exact forms that an entry is written in: these say no more than they say. */
export const isExact = (terms: readonly Term[]): boolean =>
  terms.some(({ kind }) => kind === 'quote' || kind === 'handle' || kind === 'pair');

const aside = (clause: Clause): Seen => ({ statement: ASIDE, doubts: [], sheet: clause.open() });

function readOnce(said: Clause): Seen | null {
  const led = readFrames(said, LED);
  if (led) return led;
  if (!isExact(said.terms)) {
    const { terms: meant, isSupposed } = maskSupposed(said.text, said.terms);
    const clause = isSupposed
      ? { ...said, terms: meant, open: (own = meant) => said.open(own) }
      : said;
    for (const read of MEANT) {
      const statement = read(clause);
      if (statement) return { statement, doubts: [], sheet: clause.open() };
    }
    if (isSupposed && !meant.some(isHead)) return aside(clause);
    // What a locate is measured from is told by the locate itself.
    const isLocate = clause.terms.some(({ senses }) => senses['act'] === 'locate');
    const { terms, isAimed } = isLocate
      ? { terms: clause.terms, isAimed: false }
      : maskLandmarks(clause.terms);
    if (isUnnamed(terms)) return null;
    const seen = readFrames({ ...clause, terms, open: (own = terms) => clause.open(own) }, SEEN);
    if (seen || isAimed) return seen ?? aside(clause);
    return null;
  }
  return readFrames(said, SEEN);
}

const UNIT_SAYS: Readonly<Record<Unit, (said: string) => string>> = {
  ft: (said) => `at ${said} ft`,
  in: (said) => `${said} in`,
  hour: (said) => `${said} o’clock`,
  deg: (said) => `${said}°`,
  part: (said) => `${said} of the pipe`,
  '%': (said) => `${said}%`,
};

/**
 * Reads one clause; a number that fits two meanings gives a choice of readings.
 *
 * @returns `null` where nothing in it was understood.
 */
export function readClause(
  text: string,
  terms: readonly Term[],
  context: CalloutContext,
): ReadClause | null {
  const clauseOf = (settled?: Settled): Clause => ({
    text,
    words: wordsOf(text, terms),
    terms,
    context,
    open: (own = terms) => openSheet(text, settled, own),
  });
  const first = readOnce(clauseOf());
  if (!first) return null;
  const readWords = (words: string, flag: { readonly readingFt: number | null }) => {
    const own = readTerms(words);
    const at = { ...context, standing: [], counterFt: flag.readingFt };
    return readClause(words, own, at)?.drafts ?? [];
  };
  const finish = ({ statement, sheet }: Seen): Statement => {
    const lay = (draft: EntryDraft) => settleFlag(withExact(draft, sheet), context, readWords);
    const others = statement.others?.map((one) => ({ ...one, drafts: one.drafts.map(lay) }));
    return { ...statement, drafts: statement.drafts.map(lay), ...(others ? { others } : {}) };
  };
  const statement = finish(first);
  const choices: OtherReading[] = [];
  const [doubt] = first.doubts;
  if (doubt) {
    const { from, to } = first.sheet.terms[doubt.term]!;
    for (const unit of doubt.units) {
      const again = readOnce(clauseOf(new Map([[doubt.term, unit]])));
      const drafts = again ? finish(again).drafts : [];
      if (drafts.length > 0)
        choices.push({ label: UNIT_SAYS[unit](text.slice(from, to).trim()), drafts });
    }
  } else if (statement.others && statement.others.length > 0) {
    choices.push({ label: 'the latest', drafts: statement.drafts }, ...statement.others);
  }
  const isOne = new Set(choices.map(({ drafts }) => JSON.stringify(drafts))).size < 2;
  return isOne
    ? { ...statement, choices: [] }
    : { ...statement, drafts: choices[0]!.drafts, choices };
}
