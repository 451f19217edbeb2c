import { isIdle } from '../clauses';
import type { Term } from '../terms';

/** "and a slight one at 80": the thing said last is said again, in its place. */
export function withAntecedent(terms: readonly Term[], last: Term | null): readonly Term[] {
  if (!last || terms.some(({ senses }) => senses['defect'] ?? senses['feature'])) return terms;
  // "30, 36 and 41": a footage alone is of the same thing.
  const said = terms.filter((term) => !isIdle(term));
  if (said.length === 1 && said[0]!.amount && terms[0]!.text !== 'correct')
    return [{ ...last, from: terms[0]!.from, to: terms[0]!.from }, ...terms];
  const at = terms.findIndex(
    ({ senses, text }) => senses['again'] !== undefined || text === 'one' || text === 'ones',
  );
  if (at < 0) return terms;
  return terms.map((term, index) => (index === at ? { ...term, senses: last.senses } : term));
}
