import { advice, question } from '../conclusion';
import type { Rule } from '../rule';

export const floorBelowRim: Rule = {
  number: 54,
  id: 'floor-below-rim',
  when: 'a floor with drains lies lower than the rim of the next manhole',
  then: 'advise a backwater valve; where nobody knows, ask',
  because: 'when the main fills, its water comes out at the lowest drain',
  conclude: ({ inspection: { property, runs } }) => {
    if (property.lowestFloor === 'below-rim')
      return [
        advice(
          null,
          'A floor lies lower than the next manhole. Ask a licensed plumber about a backwater valve.',
        ),
      ];
    const matters = property.foundation === 'basement' && runs.length > 0;
    return matters && property.lowestFloor === undefined
      ? [
          question(
            null,
            'surface',
            'Whether the basement floor lies lower than the rim of the next manhole was not noted.',
            'Look which lies lower: the lowest floor drain or the rim of the next manhole.',
          ),
        ]
      : [];
  },
};
