import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear, nameOf, readSurface, spotUnder } from '../scene';

/** An opening this near is the one that it leaks by, feet. */
const SAME_SPOT_FT = 1;
/** Ground gives way, or stays wet, within this of what leaks below it, feet along the line. */
const ABOVE_FT = 10;
const OPENINGS = ['gap', 'coupling-failed', 'break', 'hole', 'crack', 'offset'] as const;
const SIGNS: readonly string[] = ['sunken-ground', 'wet-ground'];

export const leaksOut: Rule = {
  number: 52,
  id: 'leaks-out',
  when: 'sewage is seen leaking out of the pipe',
  then: 'name the opening that it leaks by where one is logged there, and sunken or wet ground over it as its sign',
  because: 'what leaks out carries soil with it, and shows at the ground long after it began',
  conclude: (scene) =>
    findingsOf(scene, 'exfiltration')
      .filter(({ certainty }) => certainty !== 'cannot-tell')
      .flatMap((leak) => [
        ...findNear(scene, leak, SAME_SPOT_FT, OPENINGS).map((opening) =>
          reason(leak, `it leaks by ${nameOf(opening)}, which lies at the same spot`),
        ),
        ...readSurface(scene).flatMap(({ what, entry }) => {
          const spot = SIGNS.includes(what) && entry ? spotUnder(scene, entry) : null;
          return spot && findNear(scene, spot, ABOVE_FT, ['exfiltration']).includes(leak)
            ? [reason(leak, `the ${what.replace(/-/g, ' ')} over it is a sign that it is not new`)]
            : [];
        }),
      ]),
};
