import type { Interval } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { Pass } from '../catalogue/vocabulary';
import type { Entry } from '../model/log/entry';
import type { RunAxis } from './placement';

/** Anything seen at a place on one pass of one run. */
export type Sighting = {
  readonly axis: RunAxis;
  readonly entryId: string;
  readonly pass: Pass;
  readonly span: Interval;
  readonly sigmaFt: number;
  /** The part of σ that is the reading's own, without that of the run's place on the line. */
  readonly readingSigmaFt: number;
  /** Only one end of the stretch is known: it may be either end of what another pass saw. */
  readonly oneEnded?: boolean;
};

/** A sighting of a single place: the middle of where the entry may lie. */
export function pointSighting(axis: RunAxis, entry: Entry): Sighting & { alongFt: number } {
  const { from, to } = axis.placeOfEntry(entry);
  const alongFt = (from.alongFt + to.alongFt) / 2;
  const stationFt = axis.placeAlong(alongFt);
  const halfFt = Math.abs(to.alongFt - from.alongFt) / 2;
  return {
    axis,
    entryId: entry.id,
    pass: entry.pass,
    span: { fromFt: stationFt, toFt: stationFt },
    sigmaFt: from.sigmaFt + halfFt,
    readingSigmaFt: from.readingSigmaFt + halfFt,
    alongFt,
  };
}

/** How far apart two stretches are: the larger distance of their two ends, feet. */
export function endsApartFt(a: Interval, b: Interval): number {
  return Math.max(Math.abs(a.fromFt - b.fromFt), Math.abs(a.toFt - b.toFt));
}

/** How far apart two sightings are, feet; a stretch with one end is as near as that end is. */
export function apartFt(a: Sighting, b: Sighting): number {
  if (a.oneEnded === b.oneEnded) return endsApartFt(a.span, b.span);
  const [open, whole] = a.oneEnded ? [a.span, b.span] : [b.span, a.span];
  return Math.min(Math.abs(open.fromFt - whole.fromFt), Math.abs(open.fromFt - whole.toFt));
}

/** Whether two sightings lie near enough to be one thing: the setting within a run, 3σ across runs. */
export function isNear(a: Sighting, b: Sighting, feet: number, withinFt: number): boolean {
  if (a.axis === b.axis) return feet <= withinFt;
  const sigmas = TOLERANCES.misfitSigmas;
  // The runs' places can only add to what the readings allow, and never more than both σ together.
  const readingsFt = Math.hypot(a.readingSigmaFt, b.readingSigmaFt);
  if (feet <= sigmas * readingsFt) return true;
  if (feet > sigmas * (a.sigmaFt + b.sigmaFt)) return false;
  const alongOf = ({ axis, span }: Sighting) =>
    (axis.direction * (span.fromFt - axis.originFt)) / axis.scale;
  const places = a.axis.origin?.varianceBetween(alongOf(a), b.axis, alongOf(b)) ?? 0;
  return feet <= sigmas * Math.sqrt(readingsFt ** 2 + places);
}

/** What ties and the inspector's own word bind a sighting to. */
export function bondsOf({ axis, entryId }: Sighting): readonly string[] {
  const tie = axis.words.tieOf(entryId);
  const bonds = axis.words.bondsOf(entryId);
  return tie ? [`tie ${tie.id}`, ...bonds] : bonds;
}

/** Orders texts the same way on every machine. */
export const compareText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

const share = (a: readonly string[], b: readonly string[]) => a.some((one) => b.includes(one));

export function isTorn(a: Sighting, b: Sighting): boolean {
  return share(a.axis.words.riftsOf(a.entryId), b.axis.words.riftsOf(b.entryId));
}
