import type { Term } from '../terms';
import { masked } from './statement';

/** What somebody took it for, or looks for: not what is here. */
const BELIEVED =
  /\b(?:i|we)(?: had|'d)? (?:thought|figured|assumed|expected)\b(?! so\b)|\b(?:was|were) (?:expecting|hoping|thinking)\b|\bsupposed to be\b/;
/** Under a condition. "if you look here" points, "not sure if" doubts, "if it were my house" leads to advice. */
const CONDITIONAL =
  /(?<!\b(?:see|check|know|sure|tell|wonder|say|as|even|not|certain|unsure) )\bif (?!you (?:can |could )?(?:look|see|watch|notice|remember)|i'm |i am |(?:it|this|that) (?:was|were|is) (?:my|mine|me|up)|(?:i|we) (?:was|were) you)|\bunless\b/;
/** What may come of it. */
const TO_COME =
  /\b(?:\w+'ll|will|would|could|might|may|can|gonna|going to)(?: (?:eventually|probably|just|only|then|also|someday|soon|likely|all|easily))* (?:collapse|break|crack|fail|leak|clog|plug|back up|grow|come back|get worse|turn into|become|cause|lead to|fall|give way|cave|end up|happen)\b|\b(?:turn|turns|turning|lead|leads|leading) (?:in)?to (?:a |an )?(?:hole|break|collapse|crack|backup|blockage|offset|leak|problem)/;
/** In another line than this. */
const ELSEWHERE =
  /\b(?:was|were|had|saw|been)\b.*\b(?:on|in|at) the other (?:side|run|line|one|house|branch)\b(?! of\b)/;

/** Where a clause begins to say what is only supposed, as a place in its words; -1 where it does not. */
function supposedFrom(words: string): number {
  if (ELSEWHERE.test(words)) return 0;
  const from = [BELIEVED, CONDITIONAL, TO_COME]
    .map((pattern) => words.search(pattern))
    .filter((at) => at >= 0);
  return from.length === 0 ? -1 : Math.min(...from);
}

/**
 * Hides what was only thought, is said under a condition or may still come ("if it gets worse it'll collapse",
 * "I thought that was roots"): it is not seen here.
 *
 * @returns the terms, and whether anything was supposed.
 */
export function maskSupposed(
  text: string,
  terms: readonly Term[],
): { readonly terms: readonly Term[]; readonly isSupposed: boolean } {
  const [first, last] = [terms[0], terms.at(-1)];
  if (!first || !last) return { terms, isSupposed: false };
  const words = text.slice(first.from, last.to).toLowerCase().replace(/[’‘]/g, "'");
  const at = supposedFrom(words);
  if (at < 0) return { terms, isSupposed: false };
  const from = first.from + at;
  return { terms: terms.map((term) => (term.to > from ? masked(term) : term)), isSupposed: true };
}
