import { has, isHead, isIdle } from './heads';
import type { Term } from './terms';

const ANSWERS_NO = /^(?:no|nope|nah|none|negative|nothing|not|never|nada)$/;
const ANSWERS_YES = /^(?:yes|yep|yeah|yup)$/;

/** "there are none": nothing but that. */
const isBareNone = (clause: readonly Term[]): boolean =>
  clause.some(({ text }) => text === 'none') &&
  clause.every((term) => isIdle(term) || term.text === 'none' || has(term, ['breaks']));

/** "I was worried about roots here but there are none": of what was spoken of, and where that was. */
function denialOf(asked: readonly Term[], clause: readonly Term[]): Term[] {
  const none = clause.find(({ text }) => text === 'none')!;
  const denial: Term = { ...none, kind: 'phrase', senses: { not: 'not' }, amount: null };
  return [denial, ...asked.filter((term) => has(term, ['defect']) || term.amount !== null)];
}

/** "roots? nope": what was asked and answered in one breath is said. */
export function withAnswers(clauses: readonly Term[][]): Term[][] {
  return clauses.reduce<Term[][]>((joined, clause) => {
    const asked = joined.at(-1);
    const at = clause.findIndex((term) => term.kind !== 'mark');
    const answer = clause[at];
    const isNo = answer !== undefined && ANSWERS_NO.test(answer.text);
    // "roots 26, none"
    if (asked?.some((term) => has(term, ['defect'])) && isBareNone(clause)) {
      joined[joined.length - 1] = denialOf(asked, clause);
      return joined;
    }
    const isAsked = asked?.at(-1)?.text === '?' && asked.some(isHead);
    if (!isAsked || !answer || clause.slice(at).some(isHead)) joined.push(clause);
    else if (isNo || ANSWERS_YES.test(answer.text)) {
      const denial: Term = { ...answer, kind: 'phrase', senses: { not: 'not' }, amount: null };
      const thing = asked.slice(0, -1);
      joined[joined.length - 1] = [...(isNo ? [denial] : []), ...thing, ...clause.slice(at + 1)];
    } else joined.push(clause);
    return joined;
  }, []);
}
