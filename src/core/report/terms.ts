import type { Derived } from '../derive';

const TERMS: readonly { word: string; meaning: string; when: (derived: Derived) => boolean }[] = [
  { word: 'Lateral', meaning: 'the private sewer pipe from the building to the city’s sewer.', when: () => true },
  { word: 'Main', meaning: 'the city’s sewer that the lateral joins.', when: () => true },
  { word: 'Cleanout', meaning: 'a capped opening through which a drain is cleaned or looked into.', when: ({ inspection }) => inspection.accessPoints.some(({ kind }) => kind.includes('cleanout')) },
  { word: 'Belly', meaning: 'a stretch that has sunk and keeps water after the flow stops.', when: ({ findings }) => findings.some(({ kind }) => kind === 'standing-water') },
  { word: 'Liner', meaning: 'a new pipe wall cured inside the old pipe.', when: ({ findings, lateral }) => findings.some(({ kind }) => kind === 'standing-water') || lateral.segments.some(({ material, lined }) => lined || material === 'liner') },
  { word: 'Slight, moderate, major, failed', meaning: 'how bad a finding is, from least to worst.', when: ({ findings }) => findings.length > 0 },
]; // prettier-ignore

/** The trade's words that this report uses, explained. */
export function composeTerms(derived: Derived): { word: string; meaning: string }[] {
  return TERMS.filter(({ when }) => when(derived)).map(({ word, meaning }) => ({ word, meaning }));
}
