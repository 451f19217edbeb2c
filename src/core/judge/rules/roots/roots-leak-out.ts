import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear } from '../scene';

/** An open seam this near to roots is the one they came through, feet. */
const SAME_SPOT_FT = 1;

export const rootsLeakOut: Rule = {
  number: 30,
  id: 'roots-leak-out',
  when: 'roots come in through an open seam',
  then: 'say that sewage leaks out there too',
  because: 'a seam that lets a root in lets water out',
  conclude: (scene) =>
    findingsOf(scene, 'roots')
      .filter(({ certainty }) => certainty === 'confirmed')
      .filter(
        (roots) =>
          (roots.facts.locus === 'joint' && roots.severity !== 'slight') ||
          findNear(scene, roots, SAME_SPOT_FT, ['gap', 'coupling-failed', 'break', 'hole']).length >
            0,
      )
      .map((roots) => reason(roots, 'the seam they come through also lets sewage out')),
};
