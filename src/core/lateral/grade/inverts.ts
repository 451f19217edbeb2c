import { TOLERANCES } from '../../base/tolerances';
import type { RunAxis } from '../../measure/placement';
import type { Settings } from '../../model/job/settings';
import type { EntryOf } from '../../model/log/entry';

/** A place where the pipe was found from above. */
export type LocatedPoint = {
  readonly runId: string;
  readonly entryIds: readonly string[];
  readonly stationFt: number;
  readonly stationSigmaFt: number;
  /** Depth of the invert under the ground, inches, and σ of it. */
  readonly depthIn: number;
  readonly sigmaIn: number;
  /** Level of the ground and of the invert above the job's datum, inches; `null` without a level. */
  readonly groundIn: number | null;
  readonly invertIn: number | null;
};

/** Locates this close together are one place: a slope between them would be noise. */
const ONE_PLACE_FT = 2;

/**
 * Reads every locate as a place of the invert, in station order.
 *
 * `invert = ground − depth − height of the transmitter over the invert`. The transmitter sits behind the
 * lens, whose footage was read, so its station is that much nearer the access. Locates of one place
 * are averaged by their weights.
 */
export function readLocated(axes: readonly RunAxis[], settings: Settings): LocatedPoint[] {
  const points = axes
    .flatMap((axis) =>
      axis.log.of('locate').flatMap((entry) => locatedAt(axis, entry, settings) ?? []),
    )
    .sort((a, b) => a.stationFt - b.stationFt);
  const places: LocatedPoint[][] = [];
  for (const point of points) {
    const place = places.at(-1);
    const isSame =
      place !== undefined &&
      point.stationFt - place[0]!.stationFt <= ONE_PLACE_FT &&
      (point.groundIn === null) === (place[0]!.groundIn === null);
    if (isSame) place.push(point);
    else places.push([point]);
  }
  return places.map(average);
}

function locatedAt(
  axis: RunAxis,
  entry: EntryOf<'locate'>,
  settings: Settings,
): LocatedPoint | null {
  if (entry.depthIn === undefined || entry.readingFt === null) return null;
  const place = axis.placeOf(entry.pass, entry.readingFt);
  const behindFt = settings.transmitterBehindIn / 12;
  const deepIn = entry.depthToIn ?? entry.depthIn;
  const toHeadIn = (entry.depthIn + deepIn) / 2;
  const depthIn = toHeadIn + settings.transmitterHeightIn;
  const locatorIn = TOLERANCES.locateSigmaIn + TOLERANCES.locateSigmaRatio * toHeadIn;
  const rangeIn = Math.abs(deepIn - entry.depthIn) / 2;
  const groundIn = entry.groundIn ?? null;
  return {
    runId: axis.run.id,
    entryIds: [entry.id],
    stationFt: axis.placeAlong(Math.max(0, place.alongFt - behindFt)),
    stationSigmaFt: place.sigmaFt,
    depthIn,
    sigmaIn: Math.max(locatorIn, rangeIn),
    groundIn,
    invertIn: groundIn === null ? null : groundIn - depthIn,
  };
}

function average(points: readonly LocatedPoint[]): LocatedPoint {
  const [first] = points;
  if (points.length === 1) return first!;
  const weights = points.map(({ sigmaIn }) => 1 / sigmaIn ** 2);
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (of: (point: LocatedPoint) => number) =>
    points.reduce((sum, point, index) => sum + weights[index]! * of(point), 0) / all;
  const groundIn = first!.groundIn === null ? null : mean((point) => point.groundIn!);
  const depthIn = mean((point) => point.depthIn);
  return {
    ...first!,
    entryIds: points.flatMap(({ entryIds }) => entryIds),
    stationFt: mean(({ stationFt }) => stationFt),
    depthIn,
    sigmaIn: Math.sqrt(1 / all),
    groundIn,
    invertIn: groundIn === null ? null : groundIn - depthIn,
  };
}
