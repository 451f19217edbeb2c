import type { FeatureSpec } from '../feature';

export const tee: FeatureSpec = {
  name: 'Tee',
  said: 'tee|tees|t|branch|branch connection|connection|branch line|lateral connection',
  traits: ['side-opening', 'serves'],
};
