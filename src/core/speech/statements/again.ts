import { isIdle } from '../heads';
import type { Term } from '../terms';

/**
 * "and a slight one at 80", "another one at 36": the thing said last is said again, in its place.
 *
 * @param last what was said last in the same line; `null` where nothing was.
 * @param before what the log said last, which only "another" and "same" take up.
 */
export function withAntecedent(
  terms: readonly Term[],
  last: Term | null,
  before: Term | null,
): readonly Term[] {
  if (terms.some(({ senses }) => senses['defect'] ?? senses['feature'])) return terms;
  // "30, 36 and 41": a footage alone is of the same thing.
  const said = terms.filter((term) => !isIdle(term));
  const isPlaced = said.some(
    ({ amount }) => amount !== null && (amount.unit === null || amount.unit === 'ft'),
  );
  if (
    last &&
    isPlaced &&
    said.every(({ amount, senses }) => amount !== null || senses['hour'] || senses['aside']) &&
    terms[0]!.text !== 'correct'
  )
    return [{ ...last, from: terms[0]!.from, to: terms[0]!.from }, ...terms];
  const at = terms.findIndex(
    // "another fifteen feet" counts feet, and no thing.
    ({ senses, text }, index) =>
      (senses['again'] !== undefined && !terms[index + 1]?.amount) ||
      text === 'one' ||
      text === 'ones',
  );
  if (at < 0) return terms;
  const meant = last ?? (terms[at]!.senses['again'] === undefined ? null : before);
  if (!meant) return terms;
  return terms.map((term, index) => (index === at ? { ...term, senses: meant.senses } : term));
}
