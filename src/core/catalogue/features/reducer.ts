import type { FeatureSpec } from '../feature';

export const reducer: FeatureSpec = {
  name: 'Reducer',
  said: 'reducer|reduces|reduction|size change|goes down to',
  traits: [],
};
