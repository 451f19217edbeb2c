import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear, nameOf } from '../scene';

/** A break this near to roots is where they come in, feet. */
const SAME_SPOT_FT = 1;

export const breakExplainsRoots: Rule = {
  number: 28,
  id: 'break-explains-roots',
  when: 'the crown is broken, or soil lies on the roots',
  then: 'the break explains the roots',
  because: 'roots follow the open way into wet pipe',
  conclude: (scene) =>
    findingsOf(scene, 'roots').flatMap((roots) => {
      const [open] = findNear(scene, roots, SAME_SPOT_FT, ['break', 'hole', 'collapse']);
      if (open)
        return [reason(roots, `the ${open.kind} there (${nameOf(open)}) is the way they come in`)];
      return roots.facts.soilVisible
        ? [reason(roots, 'soil lies on them: the pipe is open to the ground there')]
        : [];
    }),
};
