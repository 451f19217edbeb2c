import type { FeatureSpec } from '../feature';

export const testTee: FeatureSpec = {
  name: 'Test tee',
  said: 'test tee',
  traits: [],
};
