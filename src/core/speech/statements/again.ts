import type { Term } from '../terms';

/** "and a slight one at 80": the thing said last is said again, in its place. */
export function withAntecedent(terms: readonly Term[], last: Term | null): readonly Term[] {
  if (!last || terms.some(({ senses }) => senses['defect'] ?? senses['feature'])) return terms;
  const at = terms.findIndex(
    ({ senses, text }) => senses['again'] !== undefined || text === 'one' || text === 'ones',
  );
  if (at < 0) return terms;
  return terms.map((term, index) => (index === at ? { ...term, senses: last.senses } : term));
}
