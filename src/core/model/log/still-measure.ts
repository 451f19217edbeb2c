/** A place touched on a picture, as shares of its width from the left and of its height from the top, 0 to 1. */
export type Touch = readonly [x: number, y: number];

/** What can be measured on a still, once the pipe is fitted. */
export const STILL_MEASURES = ['fill', 'share', 'across', 'offset', 'lip', 'gap', 'clock'] as const;
export type StillMeasureKind = (typeof STILL_MEASURES)[number];

/** What is known of the lens that took a picture. */
export type Lens = {
  /** Distortion per half height squared, below 0 for a barrel; absent: none. */
  readonly distortion?: number;
  /** Height of the field of view, degrees; a gap cannot be measured without it. */
  readonly fieldDeg?: number;
};

/** What was touched on a still to measure a thing: kept with the entry, so that it can be drawn and reckoned again. */
export type StillMeasure = Lens & {
  readonly photoId: string;
  readonly what: StillMeasureKind;
  /** Width of the picture ÷ its height. */
  readonly aspect: number;
  /** Touches on the edge of one joint. */
  readonly pipe: readonly Touch[];
  /** Touches on the thing itself, in the order that its kind asks for. */
  readonly on: readonly Touch[];
  /** Where the bottom of the pipe is, for a picture that may be turned. */
  readonly bottom?: Touch;
  /** Where the pipe vanishes far ahead; absent: taken for the middle of the picture, and less sure for it. */
  readonly vanish?: Touch;
};
