import type { FeatureSpec } from '../feature';

export const riser: FeatureSpec = {
  name: 'Riser',
  said: 'riser|risers',
  traits: ['serves'],
};
