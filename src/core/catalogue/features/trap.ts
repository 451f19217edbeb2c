import type { FeatureSpec } from '../feature';

export const trap: FeatureSpec = {
  name: 'Trap',
  said: 'trap|p trap|house trap',
  traits: ['serves'],
};
