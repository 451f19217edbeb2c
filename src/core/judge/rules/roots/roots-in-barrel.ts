import { isPipeOf } from '../../../catalogue/materials/kinds';
import { CLEANING } from '../../../catalogue/method-ids';
import { adviceWith, suspicion } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const rootsInBarrel: Rule = {
  number: 22,
  turns: true,
  id: 'roots-in-barrel',
  when: 'roots come through the barrel, where there is no joint',
  then: 'suspect a crack or a missing piece of wall: clear, look again, price a spot repair',
  because: 'sound pipe lets no root through its wall',
  conclude: (scene) =>
    findingsOf(scene, 'roots')
      .filter(({ facts, material }) => facts.locus === 'barrel' && !isPipeOf('iron', material))
      .flatMap((roots) => [
        suspicion(
          roots,
          'crack',
          'roots in the barrel come through a crack',
          'clear the roots and look again',
        ),
        suspicion(
          roots,
          'break',
          'or through a missing piece of wall',
          'clear the roots and look again',
        ),
        // Nobody said what the pipe is: it may be iron, whose wall is gone where roots pass it.
        ...(roots.material === 'unknown'
          ? [
              suspicion(
                roots,
                'hole',
                'or, in iron, where the wall is gone',
                'log what the pipe is made of',
              ),
              {
                kind: 'action',
                on: roots.id,
                action: 'look-again',
                text: 'nobody said what the pipe is: in iron the wall would be gone there',
              } as const,
            ]
          : []),
        adviceWith(CLEANING, roots, 'Have the wall looked at again once the roots are out.'),
      ]),
};
