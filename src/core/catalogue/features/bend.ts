import type { FeatureSpec } from '../feature';

export const bend: FeatureSpec = {
  name: 'Bend',
  said: 'bend|bends|elbow|ell|sweep|turn|turns|curve|curves|bends|90 bend',
  traits: [],
};
