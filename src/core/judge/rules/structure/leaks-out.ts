import { kindsWith } from '../../../catalogue/defects/kinds';
import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear, nameOf, readSurface, spotUnder } from '../scene';

/** An opening this near may be the one that it leaks by, feet. */
const SAME_SPOT_FT = 1;
/** Ground gives way, or stays wet, within this of what leaks below it, feet along the line. */
const ABOVE_FT = 10;
const SIGNS: readonly string[] = ['sunken-ground', 'wet-ground'];

export const leaksOut: Rule = {
  number: 74,
  id: 'leaks-out',
  when: 'sewage is seen leaking out of the pipe',
  then: 'name what is open at the same spot as where it may leak, and sunken or wet ground over it as a sign it may be',
  because: 'what leaks out carries soil with it, and shows at the ground long after it began',
  conclude: (scene) =>
    findingsOf(scene, 'exfiltration')
      .filter(({ certainty }) => certainty !== 'cannot-tell')
      .flatMap((leak) => [
        ...findNear(scene, leak, SAME_SPOT_FT, kindsWith('opens-wall')).map((opening) =>
          reason(leak, `${nameOf(opening)} lies at the same spot and may be where it leaks`),
        ),
        ...readSurface(scene).flatMap(({ what, entry }) => {
          const spot = SIGNS.includes(what) && entry ? spotUnder(scene, entry) : null;
          return spot && findNear(scene, spot, ABOVE_FT, ['exfiltration']).includes(leak)
            ? [
                reason(
                  leak,
                  `the ${what.replace(/-/g, ' ')} over it may be a sign that it has leaked for some time`,
                ),
              ]
            : [];
        }),
      ]),
};
