import type { FeatureSpec } from '../feature';

export const upstreamEnd: FeatureSpec = {
  name: 'Upstream end',
  said: 'upstream end|upper end|end of the line upstream|dead end',
  traits: [],
};
