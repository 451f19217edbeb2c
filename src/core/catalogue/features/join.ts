import type { FeatureSpec } from '../feature';

export const join: FeatureSpec = {
  name: 'Join',
  said: 'join|joins|junction|meets [line]|joins {other|main|house} line',
  traits: ['side-opening', 'serves'],
};
