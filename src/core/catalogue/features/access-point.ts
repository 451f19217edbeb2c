import type { FeatureSpec } from '../feature';

export const accessPoint: FeatureSpec = {
  name: 'Access point',
  said: 'access|access point',
  traits: [],
};
