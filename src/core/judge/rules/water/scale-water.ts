import { isPipeOf } from '../../../catalogue/materials/kinds';
import { cause, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf, findNear } from '../scene';

export const scaleWater: Rule = {
  number: 17,
  turns: true,
  id: 'scale-water',
  when: 'slight water stands among loose iron scale',
  then: 'the scale holds it, and it is expected to move on',
  because: 'flakes of rust make small dams in pipe that lies to grade',
  conclude: (scene) =>
    findingsOf(scene, 'standing-water')
      .filter(
        ({ verified, severity, material }) =>
          verified && severity === 'slight' && isPipeOf('iron', material),
      )
      .filter((pool) => findNear(scene, pool, 0, ['scale']).length > 0)
      .flatMap((pool) => [
        cause(pool, 'scale', 'descale, then look again'),
        reason(pool, 'it stands among loose scale, and is expected to move on'),
      ]),
};
