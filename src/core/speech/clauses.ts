import { withAnswers } from './answers';
import { has, isHead, isIdle, OPENERS } from './heads';
import type { Term } from './terms';

/** The words of a clause, without what parts it from the one before. */
export const wordsOf = (text: string, terms: readonly Term[]): string =>
  terms.length === 0
    ? ''
    : text
        .slice(terms[0]!.from, terms.at(-1)!.to)
        .replace(/^(?:[\s,;.:-]|and\b|but\b)+|[\s,;:.-]+$/gi, '')
        .trim();

const isHardBreak = ({ kind, text, senses }: Term) =>
  (kind === 'mark' && [';', '.', '!'].includes(text)) || senses['breaks'] !== undefined;
const isSoftBreak = ({ kind, text }: Term) => (kind === 'mark' && text === ',') || text === 'and';

const isOpener = (terms: readonly Term[]): boolean => {
  const first = terms.find((term) => !isIdle(term) && !isSoftBreak(term));
  const isOnes = terms.some(({ text }) => text === 'one' || text === 'ones');
  return (
    first !== undefined &&
    has(first, OPENERS) &&
    !isBeforeDefect(terms, first) &&
    !(first.senses['good'] !== undefined && isOnes)
  );
};

/** "a good offset": how much, and no praise. */
export function isBeforeDefect(terms: readonly Term[], praise: Term): boolean {
  const after = terms[terms.indexOf(praise) + 1];
  return praise.senses['good'] !== undefined && after?.senses['defect'] !== undefined;
}

const sayKind = (term: Term): string =>
  ['defect', 'feature', 'material', 'zone', 'surface']
    .flatMap((tag) => (term.senses[tag] === undefined ? [] : [`${tag} ${term.senses[tag]}`]))
    .join(' ');

const hasFeet = (terms: readonly Term[]) =>
  terms.some(({ amount }) => amount !== null && (amount.unit === null || amount.unit === 'ft'));

/** An hour of the clock is no larger. */
export const MOST_HOURS = 12.5;

/** The clause with a head before the one that is read, and whether an "and" joins what comes next. */
type Beside = { readonly before: readonly Term[]; readonly isJoined: boolean };

/** "roots at 30, 36 and 41": the same thing at the next footage. */
function isNextPlace(
  left: readonly Term[],
  right: readonly Term[],
  { before, isJoined }: Beside,
): boolean {
  // "on the left at 18 and on the right at 24": with where round the pipe.
  const said = right.filter((term) => !isIdle(term) && !has(term, ['hour', 'aside']));
  const amount = said.length === 1 ? said[0]!.amount : null;
  const isFootage =
    amount !== null &&
    amount.to === null &&
    amount.value > MOST_HOURS &&
    (amount.unit === 'ft' || amount.unit === null);
  const isPlaced = left.some(
    ({ amount: one }) =>
      one !== null &&
      one.to === null &&
      one.value > MOST_HOURS &&
      (one.unit === 'ft' || one.unit === null),
  );
  const isNext = left.every((term) => isIdle(term) || term.amount !== null);
  const thing = isNext ? before : left;
  // "roots 29, fifteen": a number that goes back is no next place, unless it is joined on.
  const lastFt = left.findLast(({ amount: one }) => one !== null && one.value > MOST_HOURS)?.amount;
  const isOn =
    isJoined ||
    (amount !== null && lastFt !== null && lastFt !== undefined && amount.value > lastFt.value);
  return isFootage && isPlaced && isOn && thing.some((term) => has(term, ['defect', 'feature']));
}

/** "out of iron and into clay": one change of pipe. */
const isInto = (heads: readonly Term[], right: readonly Term[]): boolean =>
  right.some(({ text }) => text === 'into') &&
  right.some((term) => has(term, ['material'])) &&
  heads.length === 1 &&
  has(heads[0]!, ['material']);

/** Whether what comes after a comma, an "and" or a "with" is another thing than what came before it. */
function isAnother(left: readonly Term[], right: readonly Term[], beside: Beside): boolean {
  if (left.every(isIdle)) return false;
  if (left.some(({ senses }) => senses['act'] === 'locate' || senses['act'] === 'note'))
    return false;
  if (isOpener(right)) return true;
  const isTold = right.some(({ senses }) => senses['advised'] && senses['advised'] !== 'would');
  const isDone = right.some((term) => has(term, ['does']));
  if (isTold || (isDone && right.some((term) => has(term, ['advised'])))) return true;
  const heads = left.filter(isHead);
  if (
    right.some(({ senses, text }) => senses['again'] !== undefined || text === 'one') &&
    hasFeet(right)
  )
    return heads.length > 0;
  if (right.find((term) => !isIdle(term))?.senses['either'] !== undefined) return false;
  if (isNextPlace(left, right, beside)) return true;
  // "main, located": how the end is known.
  const isEnded = heads.some(({ senses }) => senses['end'] !== undefined);
  // "it's sagging, there's a lip of half an inch": said anew, even a weak word is another thing.
  const isSaidAnew = /^(?:there's|theres|there)$/.test(
    right.find(({ kind }) => kind !== 'mark')?.text ?? '',
  );
  const others = right.filter(
    (term) =>
      (isHead(term) || (isSaidAnew && has(term, ['defect']))) &&
      !(isEnded && has(term, ['confirm'])),
  );
  if (others.length === 0) return false;
  const isOpened = left.some((term) => has(term, OPENERS));
  if (heads.length === 0) return isOpened;
  if (isInto(heads, right)) return false;
  if (heads.some(({ senses }) => senses['material'] !== undefined))
    if (others.every(({ senses }) => senses['joint'] !== undefined)) return false;
  const isBlind = (term: Term) => has(term, ['unseen', 'blind']);
  if (heads.some(isBlind) && others.every(isBlind)) return false;
  const known = new Set(heads.map(sayKind));
  // The same thing named again is another one where each has a footage of its own.
  return others.some((term) => !known.has(sayKind(term))) || (hasFeet(left) && hasFeet(right));
}

/** From a word that denies: a new clause where something was said before it and is denied after it. */
function isDenialWithin(left: readonly Term[], rest: readonly Term[]): boolean {
  const [first, ...after] = rest;
  if (first?.senses['not'] === undefined || !left.some(isHead)) return false;
  // "the clay has no roots": what is looked at, and nothing called.
  const isLookedAt = /^(?:has|have|had|shows|showing|is|are|with|in|looks)$/.test(
    left.at(-1)!.text,
  );
  if (isLookedAt && !left.some((term) => has(term, ['defect']))) return false;
  const next = after.find((term) => !isIdle(term) && term.senses['degree'] === undefined);
  return next !== undefined && has(next, ['defect', 'anything']);
}

/** "no roots just grease": what is there instead. */
const isInstead = (left: readonly Term[], rest: readonly Term[]): boolean =>
  ['just', 'only'].includes(rest[0]!.text) &&
  left.some((term) => has(term, ['not'])) &&
  rest.some((term) => isHead(term) || has(term, ['defect']));

const QUALITIES = [
  'locus',
  'hour',
  'mark',
  'degree',
  'certainty',
  'direction',
  'long',
  'depth',
  'share',
];

/** "roots at 57; 40%": a size or a place round the pipe alone is of what was said before it. */
function withSizes(clauses: readonly Term[][]): Term[][] {
  const isQuality = (term: Term) =>
    isIdle(term) ||
    has(term, ['breaks']) ||
    (term.amount !== null && term.amount.unit !== null && term.amount.unit !== 'ft') ||
    (has(term, QUALITIES) && !isHead(term) && !has(term, OPENERS));
  return clauses.reduce<Term[][]>((joined, clause) => {
    const isSize =
      clause.some((term) => !isIdle(term) && !has(term, ['breaks'])) && clause.every(isQuality);
    const last = joined.at(-1);
    if (isSize && last?.some(isHead)) joined[joined.length - 1] = [...last, ...clause];
    else joined.push(clause);
    return joined;
  }, []);
}

/** Words that carry what comes after them into what they say: "didn't see that there's …". */
const CARRIES = /^(?:that|if|whether|where|think|believe|say|says|said|sure|know|and|because)$/;

/** "they didn't use the right coupling there's a lip": a denial, a plan or an aim ends where somebody says what there is. */
function isRestart(left: readonly Term[], rest: readonly Term[]): boolean {
  const said = left.filter((term) => term.kind !== 'mark');
  const isOver = said.some((term) => has(term, OPENERS) && !has(term, ['intended']));
  if (!isOver || CARRIES.test(said.at(-1)!.text)) return false;
  const [first, second] = rest;
  return (
    first!.text === "there's" ||
    first!.text === 'theres' ||
    (first!.text === 'there' && /^(?:is|are)$/.test(second?.text ?? ''))
  );
}

/** "the house wall at fourteen I'm going to stop there", "roots at 30 40 percent need to be cut": said, and then more of it. */
function isFollowed(left: readonly Term[], rest: readonly Term[]): boolean {
  const [first, second] = rest;
  if (!left.some(isHead) || left.some((term) => has(term, OPENERS))) return false;
  const isPlan =
    first!.senses['intended'] !== undefined &&
    /^(?:i'm|im|i'll|ill|we're|we'll|let|let's|lets|gonna|hold|hang|see)$/.test(first!.text) &&
    !(second && has(second, ['material', 'zone']));
  const isSized = left.some(({ amount }) => amount?.unit === 'in' || amount?.unit === '%');
  const isAdvice =
    has(first!, ['advised']) && isSized && left.some((term) => has(term, ['defect']));
  return (isPlan && hasFeet(left)) || isAdvice;
}

/** Splits what was said in one breath into what it says one after the other. */
export function splitClauses(terms: readonly Term[]): Term[][] {
  const clauses: Term[][] = [];
  let left: Term[] = [];
  const flush = () => {
    if (left.length > 0) clauses.push(left);
    left = [];
  };
  const untilNext = (from: number): readonly Term[] => {
    const next = terms.findIndex(
      (term, at) => at > from && (isSoftBreak(term) || isHardBreak(term)),
    );
    return terms.slice(from, next < 0 ? terms.length : next);
  };
  terms.forEach((term, at) => {
    const rest = terms.slice(at);
    const isWith = term.text === 'with' && left.some((one) => has(one, ['feature', 'defect']));
    const isBreak =
      isHardBreak(term) ||
      ((isSoftBreak(term) || isWith) &&
        isAnother(left, untilNext(at + 1), {
          before: clauses.findLast((one) => one.some(isHead)) ?? [],
          isJoined: term.text === 'and',
        })) ||
      isRestart(left, rest) ||
      isFollowed(left, rest) ||
      isDenialWithin(left, rest) ||
      isInstead(left, rest);
    if (isBreak) flush();
    left.push(term);
    if (term.text === '?') flush();
  });
  flush();
  return withSizes(withAnswers(clauses)).filter(
    (clause, _, all) => !clause.every(isIdle) || all.length === 1,
  );
}
