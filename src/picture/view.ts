import type { Lens } from '#core/simulator/lens';

/** What the camera is in at one moment: all that a picture needs besides the lateral itself. */
export type PictureView = {
  /** Distance of the head from the rim, feet. */
  readonly headFt: number;
  /** Height of the lens over the invert, feet. */
  readonly lensFt: number;
  readonly rollDeg: number;
  readonly isUnder: boolean;
  readonly isMurky: boolean;
  readonly lens: Lens;
  /** Depth of water at a distance from the rim, inches. */
  readonly depthIn: (atFt: number) => number;
  /** Time for what moves, seconds. */
  readonly timeS: number;
};

/** Draws pictures on a canvas. */
export type PictureDrawer = {
  readonly draw: (view: PictureView) => void;
  /** Size of the picture, pixels. */
  readonly resize: (width: number, height: number) => void;
  readonly dispose: () => void;
};
