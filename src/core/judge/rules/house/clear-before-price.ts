import { hasTrait } from '../../../catalogue/defects/kinds';
import { proviso } from '../conclusion';
import type { Rule } from '../rule';

const HALF = 0.5;

export const clearBeforePrice: Rule = {
  number: 57,
  id: 'clear-before-price',
  when: 'more than half of the pipe is filled by roots or a deposit',
  then: 'clear it and look before any price of a repair counts',
  because: 'what lies behind it was not seen, and it may be all that is wrong or the least of it',
  conclude: (scene) =>
    scene.findings
      .filter(({ kind, ourDoing }) => (kind === 'roots' || hasTrait(kind, 'deposit')) && !ourDoing)
      .filter(({ facts }) => (facts.extentRatio ?? 0) > HALF)
      .flatMap((finding) => [
        proviso(
          finding,
          'what lies behind it could not be seen: clear it and look before any price of a repair counts',
          'clear it, and look again with the camera',
        ),
      ]),
};
