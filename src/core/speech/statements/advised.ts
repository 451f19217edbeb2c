import { isIdle } from '../clauses';
import { takeBase, takeFootage } from '../frames/frame';
import { ASIDE, type Clause, has, masked, type Statement } from './statement';

/** Words by which somebody is told to do it: "line it", "dig here". */
const VERBS: ReadonlySet<string> = new Set(
  'line dig jet patch descale replace cut monitor rescope re clean watch treat fix repair seal grind ramp shave snake auger foam excavate put install add run'.split(
    ' ',
  ),
);
/** Who did it: then it is told, and not asked for. */
const SUBJECTS: ReadonlySet<string> = new Set('they we i he she you them'.split(' '));
/** "clean the rest of the way" praises; "clean this" asks for it. */
const PRAISES: ReadonlySet<string> = new Set(['clean']);
const OBJECTS: ReadonlySet<string> = new Set(
  'it this that them these those here from the'.split(' '),
);

/** Whether a clause begins with what is to be done, and says to what. */
const isToldToDo = (terms: Clause['terms']): boolean => {
  const at = terms.findIndex((term) => !isIdle(term) || SUBJECTS.has(term.text));
  const first = terms[at];
  if (first?.senses['does'] === undefined || !VERBS.has(first.text)) return false;
  const isWhole = first.to - first.from > first.text.length;
  const object = terms[at + 1]?.text ?? '';
  if (PRAISES.has(first.text) && object === 'the') return false;
  return isWhole || OBJECTS.has(object);
};

/** "don't line it": a denial and what is to be done, with nothing seen between them. */
const isForbidden = (terms: Clause['terms'], doesAt: number): boolean =>
  doesAt > 0 &&
  has(terms.slice(0, doesAt), 'not') &&
  terms.slice(0, doesAt).every((term) => isIdle(term) || term.senses['not'] !== undefined) &&
  terms.slice(0, doesAt).some(({ text }) => /^(?:do|don't|dont|never|not)$/.test(text));

/** What a term says is to be done. "line" is the pipe, unless somebody ought to: "I'd line", "try to line". */
function methodOf(terms: Clause['terms'], at: number): string | null {
  const { senses, text } = terms[at]!;
  if (senses['does'] !== undefined) return senses['does'];
  const before = terms[at - 1];
  const isVerb =
    before !== undefined && (has([before], 'advised') || ['to', 'not'].includes(before.text));
  return text === 'line' && isVerb ? 'liner' : null;
}

/** "have the roots cut": somebody is to have it done. */
const isToBeHad = (terms: Clause['terms'], doesAt: number): boolean =>
  doesAt > 1 &&
  ['have', 'get', 'having', 'getting'].includes(terms[0]!.text) &&
  has(terms.slice(0, doesAt), 'defect');

/** What was advised: the method, or watching it, or words of the inspector's own. */
type Advised = { readonly does: string; readonly isNot: boolean };

function adviceIn(terms: Clause['terms']): Advised | 'none' | 'only expected' {
  const at = terms.findIndex(({ senses }) => senses['advised'] !== undefined);
  const how = terms[at]?.senses['advised'];
  const doesAt = terms.findIndex(
    (_, index) => (at < 0 || index >= at) && methodOf(terms, index) !== null,
  );
  const does = doesAt < 0 ? null : methodOf(terms, doesAt);
  if (at < 0) {
    const isNot = isForbidden(terms, doesAt);
    return isNot || isToldToDo(terms) || isToBeHad(terms, doesAt)
      ? { does: does ?? 'other', isNot }
      : 'none';
  }
  if (does === null && how === 'would') return 'none';
  // "should be the main": what is expected is not seen.
  if (does === null && how !== 'recommends') return 'only expected';
  const isDenied = terms.some(
    ({ senses }, index) => senses['not'] !== undefined && (doesAt < 0 || index < doesAt),
  );
  return { does: does ?? 'other', isNot: how === 'against' || isDenied };
}

/** A footage and no count: "one open joint at thirty". */
const isPlace = ({ amount }: Clause['terms'][number]): boolean =>
  amount !== null &&
  (amount.unit === 'ft' || (amount.unit === null && (amount.link !== null || amount.to !== null)));

/** "needs to be jetted", "I'd replace that", "don't line this": the inspector's own recommendation. */
export function readAdvised({ words, terms, context, open }: Clause): Statement | null {
  const advised = adviceIn(terms);
  if (advised === 'none') return null;
  if (advised === 'only expected') return ASIDE;
  const sheet = open(
    terms.map((term) =>
      isPlace(term) || term.senses['pass'] !== undefined || term.senses['opens'] !== undefined
        ? term
        : masked(term),
    ),
  );
  const base = takeBase(sheet, context);
  const footage = takeFootage(sheet, context, true);
  return {
    drafts: [
      {
        kind: 'advice',
        ...base,
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        does: advised.does,
        ...(advised.isNot ? { not: true } : {}),
        text: words,
      },
    ],
    missing: footage.missing,
    isPlaced: sheet.isPlaced(),
  };
}
