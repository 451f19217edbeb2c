import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const waterWhileRunning: Rule = {
  number: 7,
  id: 'water-while-running',
  when: 'standing water is seen while water runs or still drains',
  then: 'hold it as unverified; drain the line and look again',
  because: 'water on its way out looks like water that stays',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(({ provisos }) => provisos.some(({ rule }) => rule === 'water-unverified'))
      .map((pool) =>
        reason(pool, 'water was still on its way out, so what stood there may not stay'),
      ),
};
