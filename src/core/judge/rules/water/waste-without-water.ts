import { kindsWith } from '../../../catalogue/defects/kinds';
import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { featuresNear, findingsOf, findNear } from '../scene';

export const wasteWithoutWater: Rule = {
  number: 16,
  id: 'waste-without-water',
  when: 'waste lies where no water stands; or nothing is caught at an open joint',
  then: 'note the waste as unexplained; at the joint, solids are passing',
  because:
    'waste stays only where something holds it, and where waste passes an edge clean, the flow does not need it repaired',
  conclude: (scene) => {
    const { closeTogetherFt, atLipFt } = scene.thresholds;
    const lying = findingsOf(scene, 'debris').filter(
      (debris) =>
        debris.placed &&
        findNear(scene, debris, atLipFt, kindsWith('holds-waste')).length === 0 &&
        !featuresNear(scene, debris, closeTogetherFt).some(
          ({ feature }) => feature === 'tee' || feature === 'wye',
        ),
    );
    const clear = findingsOf(scene, 'gap').filter(
      (gap) => !gap.facts.holdsDebris && findNear(scene, gap, atLipFt, ['debris']).length === 0,
    );
    return [
      ...lying.map((debris) =>
        reason(debris, 'no water stands there and nothing was seen to hold it: unexplained'),
      ),
      ...clear.map((gap) => reason(gap, 'nothing is caught at it: solids are passing')),
    ];
  },
};
