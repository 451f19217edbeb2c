import { adviceWith } from '../conclusion';
import type { Rule } from '../rule';

export const lookThenDecide: Rule = {
  number: 48,
  id: 'look-then-decide',
  when: 'a finding must be looked at again before it can be judged',
  then: 'clean, look, decide, repair, look again: keep the alternatives side by side until the look is done',
  because: 'a repair that is priced before the look may be the wrong one',
  conclude: (scene) =>
    scene.findings
      .filter(({ action }) => action === 'look-again')
      .map((finding) =>
        adviceWith(
          ['look-again'],
          finding,
          'Clean, look again, then decide. Buy no repair before that look.',
        ),
      ),
};
