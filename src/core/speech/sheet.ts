import { lexCallout } from './lex';
import { joinNumerals } from './numerals';
import { type Amount, type Term, termsOf, type Unit } from './terms';

/** A number that fits two meanings; the reader took the first. */
export type Doubt = { readonly term: number; readonly units: readonly Unit[] };

/**
 * The terms of one call-out, claimed one by one as they are understood. What nobody claimed at the end
 * becomes the note, in the words it was said in: nothing said is dropped.
 */
export type Sheet = {
  readonly terms: readonly Term[];
  /** Claims the first free phrase with a meaning in this table. */
  readonly take: (tag: string) => string | null;
  /** Whether a free phrase has a meaning in this table. */
  readonly has: (tag: string, meaning?: string) => boolean;
  /** The first phrase, free or not, when it has a meaning in this table. */
  readonly leads: (tag: string, meaning?: string) => boolean;
  /** Every free amount, in the order said. */
  readonly amounts: () => readonly { readonly index: number; readonly amount: Amount }[];
  /** Claims the first free amount that fits, and the tail word behind it (`long`, `full`). */
  readonly takeAmount: (
    fits: (amount: Amount, index: number) => boolean,
    tails?: readonly string[],
  ) => Amount | null;
  readonly claim: (index: number) => void;
  /** Whether the term after this one has a meaning in this table. */
  readonly tailOf: (index: number, tag: string) => boolean;
  /** Claims the first free quoted words after a phrase of this table, or the free words up to the next claimed thing. */
  readonly takeWordsAfter: (index: number) => string | null;
  readonly indexOf: (tag: string) => number;
  readonly free: (index: number) => boolean;
  /** Says that a number could have meant something else. */
  readonly doubt: (index: number, units: Doubt['units']) => void;
  readonly doubts: () => readonly Doubt[];
  /** What a doubtful number was said to mean; `null` when nobody has said. */
  readonly settled: (index: number) => Unit | null;
  /** Says that the words named a footage, and that it is not the counter's. */
  readonly place: () => void;
  readonly isPlaced: () => boolean;
  /** What nobody claimed, as it was written. */
  readonly rest: () => string;
  readonly text: string;
};

/** The terms of a call-out, for sheets that are opened on it more than once. */
export const readTerms = (text: string): Term[] =>
  withoutCounts(text, termsOf(joinNumerals(lexCallout(text))));

/** Nobody counts further on the way through a pipe. */
const MOST_COUNTED = 12;

/** "two small cracks at 31": how many, and neither a footage nor an hour. Digits are no count: "31 cracks". */
function withoutCounts(text: string, terms: readonly Term[]): Term[] {
  return terms.map((term, at) => {
    const { amount } = term;
    const isBare =
      amount !== null &&
      amount.unit === null &&
      amount.to === null &&
      (amount.link === null || amount.link === 'at');
    const isCount =
      isBare &&
      Number.isInteger(amount.value) &&
      amount.value <= MOST_COUNTED &&
      /^\p{L}+$/u.test(text.slice(term.from, term.to));
    if (!isCount) return term;
    const named = terms
      .slice(at + 1)
      .find(({ kind, senses }) => kind === 'mark' || !isSmall(senses));
    // "two sections meet": whatever it is, it is counted.
    const next = terms[at + 1];
    const isOther =
      next?.kind === 'word' &&
      amount.link === null &&
      /^\p{L}{3,}s$/u.test(next.text) &&
      Object.keys(next.senses).length === 0;
    if (isOther) return { ...term, kind: 'word', senses: { idle: 'idle' }, amount: null };
    const isThing =
      named !== undefined &&
      (named.senses['defect'] ?? named.senses['feature'] ?? named.senses['locus']) !== undefined;
    return isThing && ((amount.value === 1 && amount.link === null) || named.text.endsWith('s'))
      ? { ...term, kind: 'word', senses: { idle: 'idle' }, amount: null }
      : term;
  });
}

const isSmall = (senses: Term['senses']): boolean =>
  Object.keys(senses).some(
    (tag) => tag === 'idle' || tag === 'degree' || tag.startsWith('form.'),
  ) &&
  senses['defect'] === undefined &&
  senses['feature'] === undefined;

/** Starts reading a call-out. `settled` says what doubtful numbers mean, by the place of their term. */
export function openSheet(
  text: string,
  settled: ReadonlyMap<number, Unit> = new Map(),
  read: readonly Term[] = readTerms(text),
): Sheet {
  const terms = read.map((term, index): Term => {
    const unit = settled.get(index);
    if (!term.amount || unit === undefined) return term;
    return { ...term, amount: { ...term.amount, unit } };
  });
  // Pairs are laid over the draft at the end: no frame reads them.
  const claimed = new Set(terms.flatMap(({ kind }, index) => (kind === 'pair' ? [index] : [])));
  const doubts: Doubt[] = [];
  let isPlaced = false;
  const free = (index: number) => index >= 0 && index < terms.length && !claimed.has(index);
  const find = (tag: string, meaning?: string) =>
    terms.findIndex(
      ({ senses }, index) =>
        free(index) &&
        senses[tag] !== undefined &&
        (meaning === undefined || senses[tag] === meaning),
    );
  const claim = (index: number) => void claimed.add(index);
  const tailOf = (index: number, tag: string) =>
    free(index + 1) && terms[index + 1]?.senses[tag] !== undefined;

  const takeWordsAfter = (index: number): string | null => {
    const start = index + 1;
    const quote = terms[start];
    if (quote?.kind === 'quote' && free(start)) {
      claim(start);
      return quote.text;
    }
    let end = start;
    const isProse = (at: number) =>
      free(at) &&
      terms[at]!.kind !== 'amount' &&
      terms[at]!.kind !== 'quote' &&
      terms[at]!.kind !== 'handle' &&
      !isStop(terms[at]!);
    while (isProse(end)) end += 1;
    const said = text.slice(terms[start]?.from ?? 0, terms[end - 1]?.to ?? 0);
    const words = end > start ? tidy(said).replace(/^(?:the|a|an|of|by)\s+/i, '') : '';
    if (words === '' || /^(?:the|a|an|at|and)$/i.test(words)) return null;
    for (let at = start; at < end; at += 1) claim(at);
    return words;
  };

  return {
    terms,
    text,
    free,
    claim,
    tailOf,
    takeWordsAfter,
    indexOf: (tag) => find(tag),
    has: (tag, meaning) => find(tag, meaning) >= 0,
    leads: (tag, meaning) => {
      const first = terms.find(
        ({ senses, kind }) => kind !== 'mark' && senses['idle'] === undefined,
      );
      const sense = terms[0]?.senses[tag] ?? first?.senses[tag];
      return sense !== undefined && (meaning === undefined || sense === meaning);
    },
    take: (tag) => {
      const index = find(tag);
      if (index < 0) return null;
      claim(index);
      return terms[index]!.senses[tag]!;
    },
    amounts: () =>
      terms.flatMap(({ amount }, index) => (amount && free(index) ? [{ index, amount }] : [])),
    takeAmount: (fits, tails = []) => {
      const index = terms.findIndex(
        ({ amount }, at) => amount !== null && free(at) && fits(amount, at),
      );
      if (index < 0) return null;
      claim(index);
      const tail = tails.find((tag) => tailOf(index, tag));
      if (tail !== undefined) claim(index + 1);
      return terms[index]!.amount!;
    },
    doubt: (term, units) => void doubts.push({ term, units }),
    doubts: () => doubts,
    settled: (index) => settled.get(index) ?? null,
    place: () => {
      isPlaced = true;
    },
    isPlaced: () => isPlaced,
    rest: () => restOf(text, terms, claimed),
  };
}

/** Marks that end free words: a comma, a semicolon, a full stop. */
const isStop = ({ kind, text }: Term) => kind === 'mark' && [',', ';', '.', ':'].includes(text);

const tidy = (text: string) =>
  text
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:.-]+|[\s,;:.-]+$/g, '')
    .trim();

/** Unclaimed runs of terms; idle words at their ends fall away, those inside stay. */
function restOf(text: string, terms: readonly Term[], claimed: ReadonlySet<number>): string {
  const parts: string[] = [];
  let run: Term[] = [];
  const flush = () => {
    const isIdle = ({ kind, senses, text: said }: Term) =>
      senses['idle'] !== undefined ||
      senses['breaks'] !== undefined ||
      (kind === 'mark' && /^[^\p{S}\p{So}]$/u.test(said));
    while (run.length > 0 && isIdle(run[0]!)) run.shift();
    while (run.length > 0 && isIdle(run.at(-1)!)) run.pop();
    if (run.length > 0) parts.push(tidy(text.slice(run[0]!.from, run.at(-1)!.to)));
    run = [];
  };
  terms.forEach((term, index) => {
    if (claimed.has(index)) flush();
    else run.push(term);
  });
  flush();
  return parts.filter((part) => part !== '').join('; ');
}
