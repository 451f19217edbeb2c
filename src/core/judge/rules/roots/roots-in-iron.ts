import { isPipeOf } from '../../../catalogue/materials/kinds';
import { NEW_INSIDE, NEW_PIPE } from '../../../catalogue/method-ids';
import {
  adviceWith,
  type AnyConclusion,
  proviso,
  question,
  reason,
  suspicion,
} from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const rootsInIron: Rule = {
  number: 23,
  turns: true,
  id: 'roots-in-iron',
  when: 'roots come into iron',
  then: 'through the barrel: the wall is gone there, replace or line; at a joint: as any joint; place not logged: provisional, and ask',
  because: 'roots cannot pass an iron wall, only take the place of one that has rusted away',
  conclude: (scene) =>
    findingsOf(scene, 'roots')
      .filter(({ material }) => isPipeOf('iron', material))
      .flatMap((roots): AnyConclusion[] => {
        if (roots.facts.locus === 'barrel') {
          return [
            reason(roots, 'the iron wall is gone where they come through'),
            suspicion(
              roots,
              'hole',
              'the wall is gone where roots pass iron',
              'clear the roots and look again',
            ),
            {
              kind: 'action',
              on: roots.id,
              action: 'repair',
              text: 'upkeep does not hold where the iron wall is gone',
            },
            adviceWith(
              [...NEW_PIPE, ...NEW_INSIDE],
              roots,
              'Replace or line this stretch. Cutting the roots leaves the hole.',
            ),
          ];
        }
        if (roots.facts.locus !== null) return [];
        return [
          proviso(
            roots,
            'whether they come in at a joint or through the iron was not logged',
            'look whether there is a joint, and log it',
          ),
          question(
            roots,
            'reel',
            'Roots in iron: at a joint, or through the barrel?',
            'Look whether there is a joint where they come in, and log it.',
          ),
        ];
      }),
};
