import { NEW_PIPE } from '../../../catalogue/method-ids';
import { adviceWith, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';
import { damsOf } from './dams';

export const bellyCure: Rule = {
  number: 20,
  id: 'belly-cure',
  when: 'water stands in a sag',
  then: 'only replacement to grade cures it; claim nothing about the invert under the water',
  because:
    'a liner keeps the sag and a burst keeps the sag, and water hides the bottom of the pipe',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(({ verified }) => verified)
      .flatMap((pool): Conclusion[] => [
        reason(pool, 'the water hides the bottom of the pipe: nothing is claimed about it'),
        ...(pool.action === 'repair' && damsOf(scene, pool).length === 0
          ? [
              adviceWith(
                NEW_PIPE,
                pool,
                'Only digging up this stretch and laying it to the right fall cures it. A liner would keep the dip.',
              ),
            ]
          : []),
      ]),
};
