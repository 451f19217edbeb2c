import { advice } from '../conclusion';
import type { Rule } from '../rule';

/** A tank this near to the end of the line is its end, feet. */
const AT_END_FT = 2;

export const oldTank: Rule = {
  number: 63,
  id: 'old-tank',
  when: 'an old tank or its baffle lies in the line',
  then: 'have it abandoned properly',
  because: 'an old tank holds waste, and its lid may fall in',
  conclude: ({ laterals }) =>
    laterals.some(({ features, terminus }) =>
      features.some(
        ({ feature, stationFt }) =>
          feature === 'tank' && (terminus === null || stationFt < terminus.stationFt - AT_END_FT),
      ),
    )
      ? [
          advice(
            null,
            'An old tank lies in this line. Have it pumped out, filled and passed round, as the local code asks.',
          ),
        ]
      : [],
};
