import type { FeatureSpec } from '../feature';

export const coupling: FeatureSpec = {
  name: 'Coupling',
  said: 'coupling|boot|rubber {boot|coupling|sleeve}|sleeve|no hub [coupling]|band|banded coupling|shielded coupling|connector',
  traits: [],
};
