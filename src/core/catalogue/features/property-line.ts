import type { FeatureSpec } from '../feature';

export const propertyLine: FeatureSpec = {
  name: 'Property line',
  said: 'property line|boundary|lot line|pl|property boundary',
  traits: [],
};
