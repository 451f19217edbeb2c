import type { FeatureSpec } from '../feature';

export const vent: FeatureSpec = {
  name: 'Vent',
  said: 'vent|vent stack',
  traits: ['serves'],
};
