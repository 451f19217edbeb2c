import type { FeatureSpec } from '../feature';

export const wye: FeatureSpec = {
  name: 'Wye',
  said: 'wye|wyes|y',
  traits: ['side-opening', 'serves'],
};
