import { reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const rootsHoldDebris: Rule = {
  number: 24,
  id: 'roots-hold-debris',
  when: 'roots hold debris, or run along the pipe',
  then: 'one step up, which the severity table does; runners are named as such',
  because: 'what catches solids stops the line, and runners catch most',
  conclude: (scene) =>
    findingsOf(scene, 'roots').flatMap((roots) => {
      const isRunner = roots.facts.form === 'runner';
      if (!roots.facts.holdsDebris && !isRunner) return [];
      return [
        reason(
          roots,
          isRunner
            ? 'runners lie along the pipe, and catch more than any other roots'
            : 'they already catch solids, and what is caught catches more',
        ),
      ];
    }),
};
