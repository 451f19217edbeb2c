/** What features have in common, as far as anything turns on it. */
export const FEATURE_TRAITS = {
  'side-opening': 'it opens to a side, whose "left" is nine o’clock as the lens sees it',
  serves: 'it may be said what it serves',
} as const;
export type FeatureTrait = keyof typeof FEATURE_TRAITS;

/** What Chert knows of a thing that belongs in a line. */
export type FeatureSpec = {
  /** The trade's name ("Property line"). */
  readonly name: string;
  /** How inspectors say it, in the notation of sayings. */
  readonly said: string;
  /** How a call-out writes it, where its code would not be read back. */
  readonly written?: string;
  readonly traits: readonly FeatureTrait[];
};
