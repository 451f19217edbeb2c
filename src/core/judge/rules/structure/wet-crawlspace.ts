import { question, reason } from '../conclusion';
import type { Rule } from '../rule';
import { readSurface, standingOf } from '../scene';

export const wetCrawlspace: Rule = {
  number: 45,
  id: 'wet-crawlspace',
  when: 'a crawlspace is wet',
  then: 'run every fixture: a level that ignores them all is ground water, irrigation or gutters and not the drain',
  because: 'a leaking drain answers to the fixture that feeds it',
  conclude: (scene) => {
    const wet = readSurface(scene).filter(({ what }) => what === 'wet-crawlspace');
    if (wet.length === 0) return [];
    const tests = standingOf(scene, 'flow-test').filter(({ entry }) => entry.result !== 'not-seen');
    const answers = tests.some(({ entry }) => entry.result === 'backs-up');
    if (tests.length === 0) {
      return [
        question(
          null,
          'fixture',
          'The crawlspace is wet, and nobody ran the fixtures to see whether it answers.',
          'Run each fixture and watch the water in the crawlspace.',
        ),
      ];
    }
    return answers
      ? []
      : [
          reason(
            null,
            'The crawlspace is wet, but the fixtures drain: look to ground water, irrigation and gutters, not to the drain.',
          ),
        ];
  },
};
