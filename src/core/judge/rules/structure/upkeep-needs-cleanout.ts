import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, usableCleanouts } from '../scene';

/** A jet hose and its nozzle go in through no less, inches. */
const JET_NEEDS_IN = 3;

export const upkeepNeedsCleanout: Rule = {
  number: 44,
  id: 'upkeep-needs-cleanout',
  when: 'grease or scale calls for upkeep',
  then: 'it needs a cleanout that a jet can use',
  because: 'no jet goes in through a roof vent or a closet bend',
  conclude: (scene) => {
    const fits = usableCleanouts(scene).some(
      ({ diameterIn }) => diameterIn === null || diameterIn >= JET_NEEDS_IN,
    );
    if (fits) return [];
    return findingsOf(scene, 'grease', 'scale')
      .filter(({ action }) => action === 'upkeep')
      .map((finding) =>
        adviceWith(['cleanout'], finding, 'No cleanout that a jet can use was found.'),
      );
  },
};
