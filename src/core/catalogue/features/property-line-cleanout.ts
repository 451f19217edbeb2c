import type { FeatureSpec } from '../feature';

export const propertyLineCleanout: FeatureSpec = {
  name: 'Property line cleanout',
  said: 'property line {cleanout|clean out|co}',
  traits: [],
};
