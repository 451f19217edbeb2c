import type { FeatureSpec } from '../feature';

export const wall: FeatureSpec = {
  name: 'Wall',
  said: 'wall|foundation|foundation wall|house wall|footing',
  traits: [],
};
