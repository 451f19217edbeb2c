import { sayFt } from '../../../base/numbers';
import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const residualWater: Rule = {
  number: 8,
  id: 'residual-water',
  when: 'water still stands after the line has drained',
  then: 'grade it by its fill and its length; debris that it holds raises it',
  because: 'how deep and how long water stands decides whether solids are carried on',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(({ verified }) => verified)
      .map((pool) => {
        const { lengthFt, holdsDebris } = pool.facts;
        const over = lengthFt === null ? '' : ` over ${sayFt(lengthFt)} ft`;
        return reason(
          pool,
          `it stays after the flow has stopped${over}${holdsDebris ? ', and catches debris' : ''}`,
        );
      }),
};
