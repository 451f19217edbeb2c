import { question } from '../conclusion';
import type { Rule } from '../rule';
import { standingOf } from '../scene';

export const vacantFlow: Rule = {
  number: 73,
  id: 'vacant-flow',
  when: 'nobody lives in the house and no run of water was logged',
  then: 'ask to run water long enough before anything is said of the flow',
  because: 'a line that stands dry shows neither what stands in it nor what backs up',
  conclude: (scene) => {
    const { property, runs } = scene.inspection;
    const isRun =
      standingOf(scene, 'flow-test').length > 0 ||
      standingOf(scene, 'water').some(({ entry }) => entry.state === 'running');
    if (runs.some(({ waterAtStart }) => waterAtStart === 'running')) return [];
    return property.occupancy === 'vacant' && runs.length > 0 && !isRun
      ? [
          question(
            null,
            'fixture',
            'The house is vacant, and no run of water was logged: nothing can be said of the flow.',
            'Run water for at least ten minutes, and watch it pass.',
          ),
        ]
      : [];
  },
};
