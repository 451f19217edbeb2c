import { advice } from '../conclusion';
import type { Rule } from '../rule';

export const rainTiedIn: Rule = {
  number: 62,
  id: 'rain-tied-in',
  when: 'water from the roof or a sump runs into the sewer',
  then: 'say that it is often forbidden, and have it asked about',
  because: 'it fills the line in the rain, and many authorities want it taken out at a sale',
  conclude: ({ inspection: { property } }) =>
    property.rainTiedIn === true
      ? [
          advice(
            null,
            'Roof or sump water runs into this sewer. That is often forbidden: ask the sewer authority whether it may stay.',
          ),
        ]
      : [],
};
