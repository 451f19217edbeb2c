import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const permitHistory: Rule = {
  number: 66,
  id: 'permit-history',
  when: 'works on the line are told of, and no permit is',
  then: 'ask for the permit and its sign-off',
  because: 'work without a permit was seen by nobody who had to pass it',
  conclude: ({ inspection: { property } }) => {
    const history = property.history ?? [];
    const works = history.filter(({ what }) => what === 'repaired' || what === 'lined');
    return works.length > 0 && !history.some(({ what }) => what === 'permit')
      ? [
          advice(
            null,
            'Work on this line is told of, and no permit. Ask for the permit and its sign-off.',
          ),
        ]
      : [];
  },
};
