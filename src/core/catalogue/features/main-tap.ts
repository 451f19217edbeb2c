import type { FeatureSpec } from '../feature';

export const mainTap: FeatureSpec = {
  name: 'Tap at the main',
  said: 'main tap|tap at [main|city main|public main]|tap|saddle|tap at main',
  written: 'tap at the main',
  traits: ['side-opening'],
};
