import type { EntryDraft } from '../model/log/entry';
import { MOST } from '../model/log/possible';
import { MOST_HOURS, splitClauses, wordsOf } from './clauses';
import { readCorrection } from './correct';
import type { CalloutContext, OtherReading } from './draft';
import { withExact } from './exact';
import { COMMANDS } from './frames/index';
import {
  joinClears,
  joinEnds,
  joinTests,
  sayWhatStopped,
  spreadClears,
  withoutUnreached,
} from './join-drafts';
import { keptAs, type Understood } from './kept';
import { withOwnWords } from './own-words';
import { isExact, readClause, type ReadClause } from './read-clause';
import { openSheet, readTerms } from './sheet';
import { withAntecedent } from './statements/again';
import { joinFacts, type ToldFacts } from './statements/statement';
import type { Term } from './terms';

export type { Understood } from './kept';

/** What an entry of the log itself says: "note …", "undo", "flag 31". */
function readCommand(text: string, context: CalloutContext): Understood | null {
  const terms = readTerms(text);
  for (const frame of COMMANDS) {
    const sheet = openSheet(text, undefined, terms);
    const reading = frame(sheet, context);
    if (reading)
      return {
        ...keptAs(null),
        drafts: reading.drafts.map((draft) => withExact(draft, sheet)),
        missing: reading.missing,
      };
  }
  return null;
}

type Part = { readonly terms: readonly Term[]; readonly read: ReadClause | null };

/** What may lie together at one footage; one pipe and the next that it becomes do not. */
const mayLieAt = ({ drafts }: ReadClause, placed: EntryDraft | undefined) =>
  drafts.length > 0 &&
  !(placed?.kind === 'material' && drafts.some(({ kind }) => kind === 'material'));

/** What the log said last, as a word that names it: "another one at 36". */
function termOf(standing: CalloutContext['standing']): Term | null {
  const last = standing.findLast(({ kind }) => kind === 'defect' || kind === 'feature');
  const senses =
    last?.kind === 'defect'
      ? { defect: last.defect }
      : last?.kind === 'feature'
        ? { feature: last.feature }
        : null;
  return senses && { kind: 'phrase', text: '', senses, amount: null, from: 0, to: 0 };
}

/** "belly from 40 to 46, should be dug up": advice that says no place is over the thing it was said of. */
function spreadAdvice(parts: readonly Part[]): Part[] {
  return parts.map((part, at) => {
    const about = parts
      .slice(0, at)
      .findLast(({ read }) => read?.drafts.some(({ kind }) => kind !== 'advice'))
      ?.read?.drafts.at(-1);
    const { read } = part;
    const toReadingFt = about && 'toReadingFt' in about ? about.toReadingFt : undefined;
    if (!read || read.isPlaced || !about || toReadingFt === undefined) return part;
    const { readingFt } = about;
    const drafts = read.drafts.map((draft): EntryDraft =>
      draft.kind === 'advice' && draft.readingFt !== null
        ? { ...draft, readingFt, toReadingFt }
        : draft,
    );
    return { ...part, read: { ...read, drafts } };
  });
}

/** "first joint at twenty four, nothing there": where what comes next is, said by a clause that says nothing else. */
function placeSaid(terms: readonly Term[]): number | null {
  const feet = terms.flatMap(({ amount }, at) =>
    amount !== null &&
    amount.to === null &&
    (amount.link === 'at' || (amount.link === null && amount.unit === 'ft')) &&
    amount.unit !== 'in' &&
    terms[at + 1]?.text !== 'of'
      ? [amount]
      : [],
  );
  const [only] = feet;
  const isFootage = only?.unit === 'ft' || (only?.unit === null && only.value > MOST_HOURS);
  return feet.length === 1 && isFootage ? only.value : null;
}

/** Reads clauses in turn; one without a footage of its own is where the one before it is, else the next. */
function readParts(text: string, terms: readonly Term[], context: CalloutContext): Part[] {
  const clauses = isExact(terms) ? [terms] : splitClauses(terms);
  const parts: Part[] = [];
  let { counterFt } = context;
  let last: Term | null = null;
  const before = termOf(context.standing);
  for (const clause of clauses) {
    const own = withAntecedent(clause, last, before);
    const read = readClause(text, own, { ...context, counterFt });
    parts.push({ terms: own, read });
    last = own.findLast(({ senses }) => senses['defect'] ?? senses['feature']) ?? last;
    if (read?.isPlaced && read.drafts.length > 0)
      counterFt = read.drafts.at(-1)!.readingFt ?? counterFt;
    else if (!read?.drafts.length) counterFt = placeSaid(own) ?? counterFt;
  }
  // "roots and grease at 30": what was said before the only footage is there as well.
  const firstAt = parts.findIndex(
    ({ read }) => read !== null && read.drafts.length > 0 && read.isPlaced,
  );
  const placeFt = parts[firstAt]?.read?.drafts[0]?.readingFt ?? null;
  if (firstAt <= 0 || placeFt === null) return parts;
  return parts.map(({ terms: own, read }, index) =>
    index < firstAt &&
    read !== null &&
    mayLieAt(read, parts[firstAt]?.read?.drafts[0]) &&
    !read.isPlaced
      ? { terms: own, read: readClause(text, own, { ...context, counterFt: placeFt }) }
      : { terms: own, read },
  );
}

/** A thing that nobody has a word for, or a trouble, is asked about again: a flag. Else it is a remark: a note. */
function isTrouble(terms: readonly Term[], parts: readonly Part[]): boolean {
  if (parts.some(({ read }) => read !== null)) return false;
  const isOdd = terms.some(
    ({ senses }) =>
      senses['odd'] !== undefined ||
      senses['mark'] !== undefined ||
      senses['result'] === 'backs-up',
  );
  const isNamed = terms.some(({ senses }) => senses['defect'] !== undefined);
  const hasWords = terms.some(
    ({ kind, senses }) => kind === 'word' && Object.keys(senses).length === 0,
  );
  const hasFootage = terms.some(
    ({ amount }) =>
      amount !== null &&
      (amount.unit === null || amount.unit === 'ft') &&
      amount.value <= MOST.rodFt,
  );
  const words = terms.filter(({ kind }) => kind !== 'mark');
  const isUnknown =
    words.length <= 2 &&
    !words.some(({ text }) => /['’]|ing$/.test(text)) &&
    words.every(({ senses, amount }) => amount === null && Object.keys(senses).length === 0);
  return isNamed || isOdd || isUnknown || (hasWords && hasFootage && words.length <= 4);
}

/** What is logged while a run is set up, before anything is seen. */
const BEFORE: readonly EntryDraft['kind'][] = [
  'setup',
  'material',
  'zone',
  'note',
  'photo',
  'surface',
];

/** "no water running" before anything else is about how the run began. */
const waterAtStart = (drafts: readonly EntryDraft[], { standing }: CalloutContext): ToldFacts[] =>
  standing.every(({ kind }) => BEFORE.includes(kind)) &&
  drafts.some((draft) => draft.kind === 'water' && draft.state === 'none')
    ? [{ run: { waterAtStart: 'none' } }]
    : [];

function readSaid(said: string, text: string, context: CalloutContext): Understood {
  const terms = readTerms(text);
  const parts = spreadAdvice(readParts(text, terms, context));
  const reads = parts.flatMap(({ read }) => (read ? [read] : []));
  const drafts = withoutUnreached(
    sayWhatStopped(joinEnds(joinTests(joinClears(spreadClears(reads))))),
    text,
  );
  const facts = joinFacts([
    ...reads.flatMap((read) => (read.facts ? [read.facts] : [])),
    ...waterAtStart(drafts, context),
  ]);
  const choices = choicesOf(reads);
  const missing = reads.flatMap((read) => read.missing);
  if (drafts.length === 0) {
    const isTold = Object.keys(facts).length > 0;
    const wants = missing.length > 0 && reads.every(({ isAside }) => !isAside);
    if (wants) return { ...keptAs(null), missing, facts };
    if (isTold) return { ...keptAs(null), facts };
    return keptAs(isTrouble(terms, parts) ? 'flag' : 'note', said, context);
  }
  const rest = parts
    .filter(({ read }) => read === null || (read.drafts.length === 0 && !read.facts))
    .map((part) => wordsOf(text, part.terms))
    .filter((words) => /[\p{L}\d]/u.test(words));
  return {
    ...keptAs(null),
    drafts: withWords(drafts, rest),
    missing,
    choices: choices.map((one) => ({ ...one, drafts: withWords(one.drafts, rest) })),
    facts,
    rest: rest.join('; '),
  };
}

/** What was said beside the things logged goes along with the first of them. */
function withWords(drafts: readonly EntryDraft[], rest: readonly string[]): EntryDraft[] {
  const [first, ...others] = drafts;
  if (!first || rest.length === 0) return [...drafts];
  const note = [first.note, ...rest].filter(Boolean).join('; ');
  return [{ ...first, note }, ...others];
}

/** Each reading of the one clause that is in doubt, with what the others say. */
function choicesOf(reads: readonly ReadClause[]): OtherReading[] {
  const at = reads.findIndex(({ choices }) => choices.length > 0);
  if (at < 0) return [];
  return reads[at]!.choices.map(({ label, drafts }) => ({
    label,
    drafts: joinClears(reads.flatMap((read, index) => (index === at ? drafts : read.drafts))),
  }));
}

/**
 * Reads a call-out: what an inspector types, or dictates, into entries.
 *
 * Order and units are free. A footage said wins over the counter. Words that were not understood go along as the
 * entry's note. What is denied, advised, planned, told or aimed at is never logged as seen; a call-out that says
 * nothing for the log is kept as a note, and as a flag where it names something that Chert cannot place.
 * A number that could mean two things is not guessed: `choices` holds each reading.
 *
 * @returns `null` for an empty line.
 */
export function parseCallout(said: string, context: CalloutContext): Understood | null {
  if (said.trim() === '') return null;
  const text = withOwnWords(said, context.ownWords ?? []);
  return (
    readCommand(text, context) ?? readCorrection(text, context) ?? readSaid(said, text, context)
  );
}
