import { SMALL_NUMBERS } from '../base/numbers';
import type { StillMeasure } from '../model/log/still-measure';
import type { Point } from './lens';
import { fitPipe, inPipe, type PipeFit, TOUCH_SIGMA } from './pipe-fit';
import { fillTo, hoursAt, shareWithin } from './shares';
import { type StraightView, straightView } from './view';

/** What a still says: one number with its σ, or an arc of the clock. */
export type Measured =
  | {
      readonly what: 'fill' | 'share' | 'across';
      /** Share of the diameter (`fill`, `across`) or of the area (`share`), 0 to 1. */
      readonly ratio: number;
      readonly sigma: number;
    }
  | {
      readonly what: 'offset' | 'lip' | 'gap';
      /** Inches; `null` where nobody said the diameter. */
      readonly sizeIn: number | null;
      /** The same ÷ the diameter. */
      readonly ratio: number;
      readonly sigma: number;
    }
  | {
      readonly what: 'clock';
      /** Half hours, 0.5 to 12, clockwise; a place where both are the same. */
      readonly clockFrom: number;
      readonly clockTo: number;
      /** Hours. */
      readonly sigma: number;
    };

/** Why something cannot be measured, as a sentence that says what to do. */
export type NotMeasured = { readonly trouble: string };

/** How many touches each kind takes. */
export const TOUCHES_OF = {
  fill: { least: 2, most: 2 },
  share: { least: 3, most: 400 },
  across: { least: 2, most: 2 },
  offset: { least: 2, most: 2 },
  lip: { least: 2, most: 2 },
  gap: { least: 3, most: 60 },
  clock: { least: 2, most: 2 },
} as const satisfies Record<
  StillMeasure['what'],
  { readonly least: number; readonly most: number }
>;

/** What no touch can tell: the thing may stand a little nearer or farther than the joint. Shares of the value. */
const PLANE_SIGMA = 0.06;
/** A head that levels itself hangs true to a tenth of an hour, and a picture is not turned further by hand. */
const UPRIGHT_SIGMA_HOURS = 0.12;
/** A dark end of a pipe is touched so well, and where nobody touched it a lens looks so far askew: σ, half heights. */
const VANISH_SIGMA = 0.03;
const UNSEEN_VANISH_SIGMA = 0.22;
const STEP = 1e-4;

type Read = { readonly fit: PipeFit; readonly value: number; readonly second: number };

/** How far the pipe's bottom is turned clockwise in the picture, hours. */
function turnOf({ bottom }: StillMeasure, fit: PipeFit, { toPlane }: StraightView): number {
  return bottom ? hoursAt(inPipe(fit, toPlane(bottom))) - 6 : 0;
}

/** The value itself, without its σ; `null` when the pipe cannot be fitted. */
function read(measure: StillMeasure, view = straightView(measure)): Read | null {
  const fit = fitPipe(measure.pipe.map(view.toPlane));
  if (!fit) return null;
  const seen = measure.on.map(view.toPlane);
  const [one, two] = seen.map((point) => inPipe(fit, point)) as [Point, Point];
  const plain = (value: number) => ({ fit, value, second: 0 });
  switch (measure.what) {
    case 'fill':
      return plain(fillTo([one, two]));
    case 'share':
      return plain(shareWithin(seen.map((point) => inPipe(fit, point))));
    case 'across':
    case 'offset':
    case 'lip':
      return plain(Math.hypot(two.x - one.x, two.y - one.y) / 2);
    case 'gap': {
      const far = fitPipe(seen);
      if (!far || measure.fieldDeg === undefined) return null;
      // A ring of radius R at a distance z shows as f·R ÷ z.
      const focal = 1 / Math.tan((measure.fieldDeg * Math.PI) / 360);
      return plain((focal * Math.abs(1 / far.radius - 1 / fit.radius)) / 2);
    }
    case 'clock': {
      const turn = turnOf(measure, fit, view);
      return { fit, value: hoursAt(one, turn), second: hoursAt(two, turn) };
    }
  }
}

/** Shortest way from one hour to another, −6 to 6. */
const hoursFrom = (from: number, to: number) => ((((to - from) % 12) + 18) % 12) - 6;

/** How far one reading of a measure is from another: hours the shorter way round, else as it is. */
function changeOf({ what }: StillMeasure, here: Read, there: Read): number {
  if (what !== 'clock') return there.value - here.value;
  return Math.max(
    Math.abs(hoursFrom(here.value, there.value)),
    Math.abs(hoursFrom(here.second, there.second)),
  );
}

/** What is changed by a hand that is off by its σ, at one touch after the other, and by where the pipe vanishes. */
function handSigma(measure: StillMeasure, here: Read): number {
  let sum = 0;
  const add = (there: Read | null, step: number, sigma: number) => {
    if (there) sum += ((changeOf(measure, here, there) / step) * sigma) ** 2;
  };
  for (const field of ['pipe', 'on'] as const)
    measure[field].forEach((touch, index) => {
      for (const axis of [0, 1] as const) {
        const moved: [number, number] = [...touch];
        moved[axis] += STEP;
        // A touch's σ is in half heights; a share of the height is two, of the width `aspect` times two.
        const sigma = TOUCH_SIGMA / 2 / (axis === 0 ? measure.aspect : 1);
        add(read({ ...measure, [field]: measure[field].with(index, moved) }), STEP, sigma);
      }
    });
  const vanishSigma = measure.vanish ? VANISH_SIGMA : UNSEEN_VANISH_SIGMA;
  for (const [byX, byY] of [
    [STEP, 0],
    [0, STEP],
  ] as const)
    add(read(measure, straightView(measure, byX, byY)), STEP, vanishSigma);
  return Math.sqrt(sum);
}

/** The half hour nearest to an hour, 0.5 to 12. */
export function halfHour(hours: number): number {
  const rounded = (Math.round(hours * 2) / 2) % 12;
  return rounded === 0 ? 12 : rounded;
}

const sayMore = (count: number) =>
  count === 1 ? 'one more place' : `${SMALL_NUMBERS[count]} more places`;

const troubleOf = ({ what, pipe, on, fieldDeg }: StillMeasure): string | null => {
  const { least } = TOUCHES_OF[what];
  if (pipe.length < 3) return `Touch the edge of one joint in ${sayMore(3 - pipe.length)}.`;
  if (on.length < least) return `Touch the thing in ${sayMore(least - on.length)}.`;
  return what === 'gap' && fieldDeg === undefined
    ? 'A gap lies along the pipe, and nobody has said how wide this camera sees: log it by eye.'
    : null;
};

/**
 * Measures on a still. σ comes from a hand's σ on every touch, carried through by slopes, and from what the
 * picture cannot tell: the thing may not stand at the joint, and an upright head hangs a little askew.
 *
 * @param diameterIn inside diameter of the pipe at the joint, inches; `null` where nobody said it.
 * @returns the value with its σ, or a sentence on what is missing.
 */
export function measureStill(
  measure: StillMeasure,
  diameterIn: number | null,
): Measured | NotMeasured {
  const trouble = troubleOf(measure);
  if (trouble !== null) return { trouble };
  const here = read(measure);
  if (!here)
    return { trouble: 'The touches lie in a line. Spread them round the edge of the joint.' };
  const hand = handSigma(measure, here);
  if (measure.what === 'clock') {
    const sigma = Math.hypot(hand, measure.bottom ? 0 : UPRIGHT_SIGMA_HOURS);
    return {
      what: 'clock',
      clockFrom: halfHour(here.value),
      clockTo: halfHour(here.second),
      sigma,
    };
  }
  const ratio = here.value;
  const sigma = Math.hypot(hand, measure.what === 'fill' ? 0 : PLANE_SIGMA * ratio);
  if (measure.what === 'fill' || measure.what === 'share' || measure.what === 'across')
    return { what: measure.what, ratio, sigma };
  return {
    what: measure.what,
    ratio,
    sizeIn: diameterIn === null ? null : ratio * diameterIn,
    sigma: diameterIn === null ? sigma : sigma * diameterIn,
  };
}
