import { isIdle } from '../clauses';
import { takeBase, takeFootage } from '../frames/frame';
import { ASIDE, type Clause, has, masked, type Statement } from './statement';

const tidy = (text: string) => text.trim().replace(/^[\s,;.:-]+|[\s,;.:-]+$/g, '');

/** What each word to do something is, where it is said to be done to something: "line it", "dig here". */
const isToldToDo = (terms: Clause['terms']): boolean => {
  const at = terms.findIndex((term) => !isIdle(term));
  const first = terms[at];
  if (first?.senses['does'] === undefined) return false;
  if (!/^(?:line|dig|jet|patch|descale|replace|cut|monitor|rescope|re|clean|watch|treat|fix|repair|seal)$/.test(first.text))
    return false;
  const isWhole = first.to - first.from > first.text.length;
  return isWhole || /^(?:it|this|that|them|these|here|from|the)$/.test(terms[at + 1]?.text ?? '');
};

/** "needs to be jetted", "I'd replace that", "don't line this": the inspector's own recommendation. */
export function readAdvised({ text, terms, context, open }: Clause): Statement | null {
  const at = terms.findIndex(({ senses }) => senses['advised'] !== undefined);
  const doesAt = terms.findIndex(
    ({ senses }, index) => senses['does'] !== undefined && (at < 0 || index >= at),
  );
  const isTold = at < 0 && isToldToDo(terms);
  const isForbidden = at < 0 && doesAt > 0 && terms.slice(0, doesAt).every((term) => isIdle(term) || term.senses['not'] !== undefined) && has(terms.slice(0, doesAt), 'not') && terms.slice(0, doesAt).some(({ text: word }) => /^(?:do|dont|don't|never|not)/.test(word));
  if (at < 0 && !isTold && !isForbidden) return null;
  const isStrong = at >= 0 && /recommend|suggest|advise|advice|need|eye|candidate|due/.test(text.slice(terms[at]!.from, terms[at]!.to).toLowerCase());
  // "should be the main": what is expected is not seen.
  if (doesAt < 0 && !isStrong) return ASIDE;
  const says = (index: number) => text.slice(terms[index]!.from, terms[index]!.to).toLowerCase();
  const isNot =
    isForbidden ||
    (at >= 0 && /n['’]?t\b|\bnot\b|\bno\b/.test(says(at))) ||
    terms.some(({ senses }, index) => senses['not'] !== undefined && (doesAt < 0 || index < doesAt));
  const does = doesAt >= 0 ? terms[doesAt]!.senses['does']! : /eye/.test(says(at)) ? 'monitor' : 'other';
  const sheet = open(
    terms.map((term) =>
      term.amount === null && term.senses['pass'] === undefined && term.senses['opens'] === undefined ? masked(term) : term,
    ),
  );
  const base = takeBase(sheet, context);
  const footage = takeFootage(sheet, context, true);
  const words = tidy(text.slice(terms[0]!.from, terms.at(-1)!.to));
  return {
    drafts: [
      {
        kind: 'advice',
        ...base,
        readingFt: footage.readingFt,
        ...(footage.toFt === null ? {} : { toReadingFt: footage.toFt }),
        does,
        ...(isNot ? { not: true } : {}),
        text: words,
      },
    ],
    missing: footage.missing,
    isPlaced: sheet.isPlaced(),
    mode: 'advised',
  };
}
