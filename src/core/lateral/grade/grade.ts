import type { Interval } from '../../base/interval';
import { TOLERANCES } from '../../base/tolerances';
import type { RunAxis } from '../../measure/placement';
import type { Job } from '../../model/job/job';
import type { Settings } from '../../model/job/settings';
import type { Segment } from '../segments';
import { type LocatedPoint, readLocated } from './inverts';
import { requiredFallIn } from './required-fall';

/** A located point with a ground level: one whose invert has a level. */
export type LevelledPoint = LocatedPoint & {
  readonly groundIn: number;
  readonly invertIn: number;
};

/** How the pipe falls over a stretch; positive is downhill the way the flow goes. */
export type Fall = Interval & {
  readonly availableIn: number;
  readonly requiredIn: number;
  /** σ of the available fall, inches. */
  readonly sigmaIn: number;
  readonly slopeInPerFt: number;
  readonly slopeSigmaInPerFt: number;
};

export type GravityVerdict = 'can' | 'cannot' | 'cannot-be-told';

/** What is known of the grade of a line. */
export type Grade = {
  readonly located: readonly LocatedPoint[];
  /** The located points with levels, in station order. */
  readonly points: readonly LevelledPoint[];
  /** Slope from each levelled point to the next. */
  readonly stretches: readonly Fall[];
  /** From the first levelled point to the last; `null` with fewer than two. */
  readonly whole: Fall | null;
  readonly verdict: GravityVerdict;
};

/**
 * Measures the grade of a line from its locates and the ground levels over them.
 *
 * Gravity *cannot* only when the fall is short of what is required by more than 2σ, and *can* only when
 * it exceeds it by more than 2σ: between the two it cannot be told.
 */
export function measureGrade(
  axes: readonly RunAxis[],
  segments: readonly Segment[],
  job: Job,
  settings: Settings,
): Grade {
  const located = readLocated(axes, settings);
  const points = located.filter((point): point is LevelledPoint => point.invertIn !== null);
  const fall = (from: LevelledPoint, to: LevelledPoint) => fallBetween(from, to, segments, job);
  const [first, last] = [points[0], points.at(-1)];
  const whole = first && last && first !== last ? fall(first, last) : null;
  return {
    located,
    points,
    stretches: points.slice(1).map((point, index) => fall(points[index]!, point)),
    whole,
    verdict: judgeFall(whole),
  };
}

function fallBetween(
  from: LevelledPoint,
  to: LevelledPoint,
  segments: readonly Segment[],
  job: Job,
): Fall {
  const stretch = { fromFt: from.stationFt, toFt: to.stationFt };
  const feet = to.stationFt - from.stationFt;
  const availableIn = from.invertIn - to.invertIn;
  const slopeInPerFt = availableIn / feet;
  const sigmaIn = Math.hypot(
    from.sigmaIn,
    to.sigmaIn,
    TOLERANCES.levelSigmaIn,
    TOLERANCES.levelSigmaIn,
  );
  const lengthSigmaFt = Math.hypot(from.stationSigmaFt, to.stationSigmaFt);
  return {
    ...stretch,
    availableIn,
    requiredIn: requiredFallIn(job, segments, stretch),
    sigmaIn,
    slopeInPerFt,
    slopeSigmaInPerFt: Math.hypot(sigmaIn / feet, (slopeInPerFt * lengthSigmaFt) / feet),
  };
}

/** What a fall says of gravity: only a difference of more than 2σ says anything. */
export function judgeFall(fall: Fall | null): GravityVerdict {
  if (fall === null) return 'cannot-be-told';
  const spareIn = fall.availableIn - fall.requiredIn;
  if (Math.abs(spareIn) <= 2 * fall.sigmaIn) return 'cannot-be-told';
  return spareIn > 0 ? 'can' : 'cannot';
}
