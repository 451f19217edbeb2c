import { CLEANING } from '../../../catalogue/method-ids';
import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const upkeepOrRepair: Rule = {
  number: 47,
  id: 'upkeep-or-repair',
  when: 'upkeep holds a finding that will come back',
  then: 'compare upkeep for as long as the house is kept against one repair',
  because: 'a small bill every year, with a backup now and then, can pass the price of a repair',
  conclude: (scene) =>
    findingsOf(scene, 'roots', 'grease', 'scale', 'mineral', 'standing-water')
      .filter(({ action, severity }) => action === 'upkeep' && severity !== 'slight')
      .map((finding) =>
        adviceWith(
          CLEANING,
          finding,
          'Over the years, upkeep and a backup now and then can cost more than one repair: compare both.',
        ),
      ),
};
