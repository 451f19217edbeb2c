import type { FeatureSpec } from '../feature';

export const drop: FeatureSpec = {
  name: 'Drop',
  said: 'drop|vertical drop|drops|goes vertical',
  traits: [],
};
