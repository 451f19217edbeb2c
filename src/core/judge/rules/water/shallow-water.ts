import { fillRatioOf } from '../../../catalogue/severity/water-depth';
import { type AnyConclusion, noAction, question } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const shallowWater: Rule = {
  number: 10,
  turns: true,
  id: 'shallow-water',
  when: 'the water is shallow, the house is lived in and nothing is caught',
  then: 'slight, no work now; say what would change that',
  because: 'a lived-in house has tried the line every day, and nothing has stayed in it',
  conclude: (scene) => {
    const { occupancy } = scene.inspection.property;
    return findingsOf(scene, 'standing-water').flatMap((pool): AnyConclusion[] => {
      const ratio = fillRatioOf(pool.facts);
      const isShallow = ratio !== null && ratio < scene.thresholds.shallowBelow - 1e-9;
      if (!pool.verified || !isShallow || pool.facts.holdsDebris) return [];
      if (pool.severity !== 'slight') return [];
      if (occupancy === 'unknown') {
        return [
          question(
            pool,
            'desk',
            'Nobody said whether the house is lived in, and shallow water says more where it is.',
            'Say on Site whether the house is lived in.',
          ),
        ];
      }
      if (occupancy === 'vacant') return [];
      return [
        noAction(
          pool,
          'the water is shallow, the house is lived in and nothing is caught. Wipes, grease or a longer pool would change that.',
        ),
      ];
    });
  },
};
