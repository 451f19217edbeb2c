import { type FeatureKind } from '../../../catalogue/features/index';
import type { EntryBase } from '../entry-base';

/** Something that belongs in a lateral: a tee, a bend, a cleanout, the property line, the main's tap. */
export type FeatureEntry = EntryBase & {
  readonly kind: 'feature';
  readonly feature: FeatureKind;
  readonly clock?: number;
  /** Angle of a bend, degrees. */
  readonly angleDeg?: number;
  /** Which way a bend turns, in words. */
  readonly turns?: string;
  /** The fixture or room that a tee serves. */
  readonly serves?: string;
  /** A vertical stretch, feet: counts along the pipe and not in plan. */
  readonly dropFt?: number;
};
