import { type Conclusion, proviso, question } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const movesWithWater: Rule = {
  number: 27,
  id: 'moves-with-water',
  when: 'something like roots moves with the water, or is only suspected',
  then: 'hair, or a wipe: look twice before calling it roots',
  because: 'what grows in the wall stays put, and what hangs on an edge swings',
  conclude: (scene) =>
    findingsOf(scene, 'roots').flatMap((roots): Conclusion[] => {
      if (roots.facts.movesWithWater) {
        return [
          proviso(
            roots,
            'it moves with the water, so it may be hair or a wipe',
            'look twice: run water past it and see whether it stays',
          ),
        ];
      }
      if (roots.certainty === 'confirmed') return [];
      return [
        question(
          roots,
          'reel',
          'Are they roots? Hair and wipes look alike.',
          'Run water past it: what moves is not rooted. Log what it is.',
        ),
      ];
    }),
};
