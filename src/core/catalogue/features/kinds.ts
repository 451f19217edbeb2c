import type { FeatureSpec, FeatureTrait } from '../feature';
import { FEATURE_SPECS, type FeatureKind } from './index';

/** The catalogue's page on a feature. */
export const featureOf = (feature: FeatureKind): FeatureSpec => FEATURE_SPECS[feature];

/** Whether a feature has a trait. */
export const isFeatureOf = (trait: FeatureTrait, feature: FeatureKind): boolean =>
  featureOf(feature).traits.includes(trait);

/** A feature in the trade's words ("Property line"). */
export const nameFeature = (feature: FeatureKind): string => featureOf(feature).name;
