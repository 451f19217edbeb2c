import type { Term } from '../terms';
import { masked } from './statement';

const PLACES = ['feature', 'zone', 'surface', 'material', 'end'];
const isPlace = ({ senses }: Term) =>
  PLACES.some((tag) => senses[tag] !== undefined) && senses['defect'] === undefined;

const isRelation = (term: Term | undefined): boolean =>
  term !== undefined &&
  (term.senses['beside'] !== undefined || ['from', 'past', 'before', 'after'].includes(term.text));

/**
 * Hides what is named as aimed at ("toward the main") or as a landmark ("just past the tee"): it is not here.
 *
 * @returns the terms, and whether anything was named so.
 */
export function maskLandmarks(terms: readonly Term[]): {
  terms: readonly Term[];
  isAimed: boolean;
} {
  let isOpen = false;
  let isAimed = false;
  const isNamedAfter = (at: number) => terms.slice(at + 1).some(isPlace);
  const seen = terms.map((term, at) => {
    const isBeside = term.senses['beside'] !== undefined && isNamedAfter(at);
    // "3 ft of iron": how long, and no footage.
    if (term.amount?.unit === 'ft' && terms[at + 1]?.text === 'of' && term.amount.link === null)
      return masked(term);
    // "two feet from the wye": how far off, and where the thing named is not.
    const isAway =
      term.amount?.unit === 'ft' &&
      term.amount.link === null &&
      isRelation(terms[at + 1]) &&
      isNamedAfter(at + 1);
    if (isAway) {
      isAimed = true;
      isOpen = true;
      return masked(term);
    }
    if (term.senses['toward'] !== undefined || isBeside) {
      isOpen = true;
      isAimed ||= term.senses['toward'] !== undefined;
      return masked(term);
    }
    if (isOpen && term.senses['defect'] !== undefined) {
      // "couldn't find the break": what is looked for is not here either.
      isOpen = false;
      return isAimed ? masked(term) : term;
    }
    if (isOpen && isPlace(term)) {
      isOpen = false;
      return masked(term);
    }
    return term;
  });
  return { terms: seen, isAimed };
}
