import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const trapInLine: Rule = {
  number: 71,
  id: 'trap-in-line',
  when: 'a trap lies in the line',
  then: 'say that it is an old house trap, and ask about taking it out',
  because: 'it catches what passes, stops tools, and newer codes no longer want it',
  conclude: ({ laterals }) =>
    laterals.some(({ features }) => features.some(({ feature }) => feature === 'trap'))
      ? [
          advice(
            null,
            'A house trap lies in this line. It catches waste and stops tools: ask a licensed plumber about taking it out.',
          ),
        ]
      : [],
};
