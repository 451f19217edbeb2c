import type { Interval } from '../base/interval';

/** Where things lie on the drawing, in drawing units. */
export type Frame = {
  readonly width: number;
  readonly height: number;
  /** The stations shown. */
  readonly view: Interval;
  readonly groundY: number;
  readonly scaleY: number;
  readonly unitsPerFt: number;
  readonly xOf: (stationFt: number) => number;
  readonly stationOf: (x: number) => number;
};

const SIDE_MARGIN = 28;
/** Rows for zone labels and the space in which houses and trees stand. */
const SKY = 74;
/** Room under the soil for the scale. */
const FOOT = 22;

/** Lays the frame of a drawing over a stretch of stations. */
export function layFrame(view: Interval, width: number, height: number): Frame {
  const spanFt = Math.max(1, view.toFt - view.fromFt);
  const unitsPerFt = (width - 2 * SIDE_MARGIN) / spanFt;
  return {
    width,
    height,
    view,
    groundY: SKY,
    scaleY: height - FOOT,
    unitsPerFt,
    xOf: (stationFt) => SIDE_MARGIN + (stationFt - view.fromFt) * unitsPerFt,
    stationOf: (x) => view.fromFt + (x - SIDE_MARGIN) / unitsPerFt,
  };
}

/** Steps of the scale that people count in, feet. */
const STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];

/** The scale's step, feet: the smallest with room for its labels. */
export function scaleStepFt(unitsPerFt: number): number {
  return STEPS.find((step) => step * unitsPerFt >= 48) ?? 2000;
}
