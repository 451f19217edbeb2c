import { roundTo } from '../../base/numbers';
import type { Material } from '../../catalogue/materials/index';
import { takeBase, takeCertainty, takeFootage, withRest } from '../frames/frame';
import type { Term } from '../terms';
import { type Clause, has, type Statement } from './statement';

/** Words between two pipes that say that the one goes over into the other. */
const BECOMES =
  /^(?:to|into|becomes|turns|changes|switches|goes|transitions|then|by|change|turning|going|changing|back)$/;

const isInches = (term: Term | undefined): boolean =>
  term?.amount?.unit === 'in' && term.amount.to === null;

/** "goes from cast iron to clay", "4 in ABS turns into 6 in clay": both pipes, and which is ahead. */
export function readChanged({ terms, context, open }: Clause): Statement | null {
  const named = terms.flatMap(({ senses }, at) => (senses['material'] !== undefined ? [at] : []));
  const [first, second] = named;
  if (first === undefined || second === undefined || named.length > 2) return null;
  if (has(terms, 'defect') || has(terms, 'either')) return null;
  const between = terms.slice(first + 1, second);
  if (!between.some(({ text, senses }) => BECOMES.test(text) || senses['closes'])) return null;
  const sheet = open();
  const base = takeBase(sheet, context);
  for (const at of named) sheet.claim(at);
  /** The diameter said before a pipe, or right behind it. */
  const boreOf = (at: number, until: number): number | null => {
    const isMark = (one: number) => terms[one]?.kind === 'mark';
    const behind = isMark(at + 1) ? at + 2 : at + 1;
    const places = [at - 1, behind, at - 2].filter((one) => one >= 0 && one < until);
    const found = places.find((one) => sheet.free(one) && isInches(terms[one]));
    if (found === undefined) return null;
    sheet.claim(found);
    return roundTo(terms[found]!.amount!.value, 3);
  };
  const [saidIn, isIn] = [boreOf(first, second), boreOf(second, terms.length)];
  // The pipe that is passed has the diameter that it was called with before.
  const before = context.standing.findLast((entry) => entry.kind === 'material');
  const isSame =
    before?.kind === 'material' && before.material === terms[first]!.senses['material'];
  const wasIn = saidIn ?? (isSame ? (before.diameterIn ?? null) : null);
  const certainty = takeCertainty(sheet);
  const isAhead = base.pass === 'out';
  const { readingFt, missing } = takeFootage(sheet, context);
  terms.forEach(({ text }, at) => {
    if (BECOMES.test(text) && sheet.free(at)) sheet.claim(at);
  });
  const pipe = (at: number, side: 'near' | 'far', diameterIn: number | null) => ({
    kind: 'material' as const,
    ...base,
    readingFt,
    side,
    material: terms[at]!.senses['material'] as Material,
    ...(diameterIn === null ? {} : { diameterIn }),
    ...certainty,
  });
  return {
    drafts: [
      pipe(first, isAhead ? 'near' : 'far', wasIn),
      { ...pipe(second, isAhead ? 'far' : 'near', isIn), ...withRest(sheet, base) },
    ],
    missing: [...missing, ...(isIn === null ? ['the diameter: taken as before'] : [])],
    isPlaced: sheet.isPlaced(),
  };
}
