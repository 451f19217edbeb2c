import type { FeatureSpec } from '../feature';

export const tank: FeatureSpec = {
  name: 'Tank',
  said: 'tank|septic tank',
  traits: [],
};
