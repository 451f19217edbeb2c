/**
 * The one table of tolerances. Lengths in feet, sizes in inches, times in minutes.
 * Settings may override those that an inspector has reason to change (see `job/settings.ts`).
 */
export const TOLERANCES = {
  /** Two readings closer than this are one place: half of the tenth that a counter shows. */
  samePlaceFt: 0.05,
  /** Fixed part of a reading's σ: footage is usually spoken to the foot, so ±½ ft. */
  readingSigmaFt: 0.5,
  /** Part of a reading's σ that grows with distance: cable creep, as a share of the distance. */
  readingSigmaRatio: 0.005,
  /** A run's scale against the reference run before anything ties them: two counters agree to 1%. */
  scaleSigma: 0.01,
  /** A scale this far from 1 is no counter's slip: something about the run is wrong. */
  scaleMisfit: 0.03,
  /** A taped distance: a hand's breadth at each end, and tape that does not lie straight. */
  spanSigmaFt: 0.5,
  spanSigmaRatio: 0.01,
  /** Beyond this many σ a tie does not fit, and two sightings are not one thing. */
  misfitSigmas: 3,
  /** A locator's depth: an inch, and three parts in a hundred of the depth. */
  locateSigmaIn: 1,
  locateSigmaRatio: 0.03,
  /** A ground level shot from the job's datum. */
  levelSigmaIn: 0.25,
  /** A homecoming error beyond this plus `homecomingRatio` of the farthest reading is asked about. */
  homecomingFt: 1,
  homecomingRatio: 0.02,
  /** Beyond the larger of these no slip explains it: a wrong number was said. */
  homeImplausibleFt: 3,
  homeImplausibleRatio: 0.05,
  /** A thing this far past the run's end cannot have been seen. */
  beyondEndFt: 0.5,
  /** A stretch of pipe shorter than this is not a pipe but two names for one spot. */
  zeroLengthFt: 0.5,
  /** A said length may differ from its two ends by this: each end is spoken to the foot. */
  saidLengthFt: 1,
  /** A counter that runs this far against the direction of the pass has jumped. */
  readingJumpFt: 2,
  /** Two sightings of one kind in one pass within this are probably one thing. */
  nearDuplicateFt: 2,
  /** A locate serves a dig when it lies this close to it. */
  locateReachFt: 3,
  /** An access says what lies over the pipe this far each way. */
  zoneOfAccessFt: 3,
  /** A failed finding this close to an obstruction end is the obstruction. */
  atObstructionFt: 2,
} as const;
