import { isPipeOf } from '../../../catalogue/materials/kinds';
import { NEW_PIPE } from '../../../catalogue/method-ids';
import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';
import { findNear } from '../scene';

/** How a bad joint between two pipes shows. */
const LOOSE = ['offset', 'gap', 'lip', 'coupling-failed'] as const;
const NEAR_FT = 1;

export const shieldedCoupling: Rule = {
  number: 65,
  id: 'shielded-coupling',
  when: 'clay or iron meets plastic, and the joint between them is out of line or open',
  then: 'have it joined with a shielded coupling',
  because: 'a bare rubber sleeve lets the two pipes step apart',
  conclude: (scene) =>
    scene.laterals.flatMap(({ lineId, segments }) =>
      segments.slice(1).flatMap((segment, index) => {
        const pair = [segments[index]!, segment];
        const isMixed =
          pair.some(({ material }) => isPipeOf('lasting', material)) &&
          pair.some(({ material }) => isPipeOf('jointed', material));
        if (!isMixed) return [];
        const spot = { lineId, span: { fromFt: segment.fromFt, toFt: segment.fromFt } };
        return findNear(scene, spot, NEAR_FT, LOOSE).map((finding) =>
          adviceWith(
            NEW_PIPE,
            finding,
            'Old pipe meets plastic here: have it joined with a shielded coupling, not with a bare rubber sleeve.',
          ),
        );
      }),
    ),
};
