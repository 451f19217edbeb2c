import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const rootsSmallBore: Rule = {
  number: 25,
  id: 'roots-small-bore',
  when: 'the pipe is small, or more than one household uses it',
  then: 'the same roots matter more',
  because: 'less is left to pass through, and more has to',
  conclude: (scene) => {
    const { households } = scene.inspection.property;
    return findingsOf(scene, 'roots').flatMap((roots) => {
      const { boreIn } = roots.facts;
      const isSmall = boreIn !== null && boreIn < scene.thresholds.roomyBoreIn;
      return [
        ...(isSmall
          ? [reason(roots, `in a ${boreIn} in pipe little is left to pass through`)]
          : []),
        ...(households > 1
          ? [reason(roots, `${households} households use this pipe, so they matter more`)]
          : []),
      ];
    });
  },
};
