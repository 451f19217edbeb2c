import { adviceWith, type Conclusion, reason } from '../conclusion';
import type { Rule } from '../rule';
import { findingsOf } from '../scene';

export const gapClear: Rule = {
  number: 33,
  id: 'gap-clear',
  when: 'a joint stands open but is connected and clear; or an offset is slight and nothing is caught',
  then: 'the opinion of a licensed drain contractor on the gap; the offset stays slight',
  because: 'a gap that passes everything is a question of time, which hands on the work judge best',
  conclude: (scene) => [
    ...findingsOf(scene, 'gap')
      .filter(({ facts }) => !facts.soilVisible && !facts.holdsDebris)
      .map((gap): Conclusion =>
        adviceWith([], gap, 'Ask a licensed drain contractor’s opinion of this open joint.'),
      ),
    ...findingsOf(scene, 'offset')
      .filter(({ severity, facts }) => severity === 'slight' && !facts.holdsDebris)
      .map((offset) => reason(offset, 'slight, and nothing is caught on it')),
  ],
};
