import { takeBase, takeFootage } from '../frames/frame';
import { isIdle } from '../heads';
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

/** "don't let anybody put a cutter in it". */
const LETS: ReadonlySet<string> = new Set(
  'let anybody anyone somebody someone them him people plumber contractor'.split(' '),
);

/** "you can't line this": it would not do. */
const CANNOT = /\b(?:can't|cant|cannot|can not|couldn't|could not) (?:be )?$/i;

/** "don't line it": a denial and what is to be done, with nothing seen between them. */
const isForbidden = (terms: Clause['terms'], doesAt: number): boolean =>
  doesAt > 0 &&
  has(terms.slice(0, doesAt), 'not') &&
  terms
    .slice(0, doesAt)
    .every((term) => isIdle(term) || term.senses['not'] !== undefined || LETS.has(term.text)) &&
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

const HAVE: ReadonlySet<string> = new Set(['have', 'get', 'having', 'getting']);
const OF_PIPE = /^(?:section|pipe|line|part|piece|joint|joints|stretch|run)$/;

/** "have the roots cut": somebody is to have it done. */
function isToBeHad(terms: Clause['terms'], doesAt: number): boolean {
  const at = terms.findIndex((term) => !isIdle(term) || HAVE.has(term.text));
  const between = terms.slice(at + 1, Math.max(doesAt, 0));
  const isOf = has(between, 'defect') || between.some(({ text }) => OF_PIPE.test(text));
  return at >= 0 && HAVE.has(terms[at]!.text) && doesAt > at + 1 && isOf;
}

/** What was advised: the method, or watching it, or words of the inspector's own. */
type Advised = { readonly does: string; readonly isNot: boolean };

function adviceIn({ terms, text }: Clause): Advised | 'none' | 'only expected' {
  const barredAt = terms.findIndex(
    (term) =>
      (term.senses['does'] !== undefined || term.text === 'line') &&
      CANNOT.test(text.slice(0, term.from)),
  );
  if (barredAt >= 0 && terms.slice(0, barredAt).every((term) => isIdle(term) || !isSaid(term)))
    return { does: terms[barredAt]!.senses['does'] ?? 'liner', isNot: true };
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
    ({ senses, from, to }, index) =>
      (senses['not'] !== undefined ||
        (senses['toward'] !== undefined && /\b(?:think|believe)\b/i.test(text.slice(from, to)))) &&
      (doesAt < 0 || index < doesAt),
  );
  return { does: does ?? 'other', isNot: how === 'against' || isDenied };
}

/** Whether a term names something of the line. */
const isSaid = ({ senses }: Clause['terms'][number]): boolean =>
  ['defect', 'feature', 'material', 'end'].some((tag) => senses[tag] !== undefined);

/** A footage and no count: "one open joint at thirty". */
const isPlace = ({ amount }: Clause['terms'][number]): boolean =>
  amount !== null &&
  (amount.unit === 'ft' || (amount.unit === null && (amount.link !== null || amount.to !== null)));

/** "needs to be jetted", "I'd replace that", "don't line this": the inspector's own recommendation. */
export function readAdvised(clause: Clause): Statement | null {
  const { words, terms, context, open } = clause;
  const advised = adviceIn(clause);
  if (advised === 'none') return null;
  if (advised === 'only expected') return ASIDE;
  const isDeep = (at: number) => terms[at + 1]?.senses['depth'] !== undefined;
  const sheet = open(
    terms.map((term, at) =>
      (isPlace(term) && !isDeep(at)) ||
      term.senses['pass'] !== undefined ||
      term.senses['opens'] !== undefined
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
