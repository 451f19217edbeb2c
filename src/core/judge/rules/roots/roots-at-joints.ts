import { CLEANING } from '../../../catalogue/method-ids';
import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const rootsAtJoints: Rule = {
  number: 21,
  id: 'roots-at-joints',
  when: 'roots are few and fine, and come in at joints',
  then: 'upkeep: cut or jet, treat, and come back at an interval',
  because: 'roots come back because the way in remains',
  conclude: (scene) =>
    findingsOf(scene, 'roots')
      .filter(({ facts, action }) => facts.locus === 'joint' && action === 'upkeep')
      .map((roots) =>
        adviceWith(
          CLEANING,
          roots,
          'Ask about treating them too. The way in remains, so they grow again.',
        ),
      ),
};
