import type { FeatureSpec } from '../feature';

export const cleanout: FeatureSpec = {
  name: 'Cleanout',
  said: 'cleanout|clean out|co|cleanouts|c o',
  traits: ['side-opening'],
};
