import { advice } from '../conclusion';
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
        advice(
          roots,
          'Have them treated too, and come back once a year to begin with. The way in remains, so they grow again.',
        ),
      ),
};
