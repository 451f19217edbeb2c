import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const sharedLine: Rule = {
  number: 61,
  id: 'shared-line',
  when: 'two houses share the line before it reaches the main',
  then: 'ask for the easement, and who pays',
  because: 'a line that serves a neighbor is nobody’s alone to dig up, or to pay for',
  conclude: ({ inspection: { property } }) =>
    property.sharedLine === true
      ? [
          advice(
            null,
            'Another house shares this line. Ask for the easement, and for what was agreed on who pays for repairs.',
          ),
        ]
      : [],
};
