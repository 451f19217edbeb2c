import { type Interval, overlapFt, unite } from '../base/interval';
import { lastAtOrBelow } from '../base/memo';
import { layOut } from '../base/near';
import { TOLERANCES } from '../base/tolerances';
import type { LineJoin } from '../measure/join/join';
import type { RunAxis } from '../measure/placement';
import { type PlacedStretch, placeStretches } from '../measure/stretch';
import { checkWater } from '../measure/water';
import type { Inspection } from '../model/job/inspection';
import type { Settings } from '../model/job/settings';
import type { EntryOf } from '../model/log/entry';
import type { FoldedLog } from '../model/log/fold';
import { possibleSizes } from '../model/log/possible';
import { clipToTerminus, type Coverage, measureCoverage, reachOf } from './coverage';
import { type Feature, readFeatures } from './features';
import { type Grade, measureGrade } from './grade/grade';
import { layLine } from './lay-line';
import type { Partition } from './partition';
import { cutSegments, type Pipe, readPipes, responsibilityLineFt, type Segment } from './segments';
import { endsLine, findTerminus, type PlacedEnd, readEnds, type Terminus } from './terminus';
import { readUpperEnd } from './upper-end';
import { type OpenZone, readZones, type ZonePiece } from './zones';

/** One line of the pipe tree, measured on its own axis. */
export type Lateral = {
  readonly lineId: string;
  readonly join: LineJoin;
  /** Runs with a known origin. */
  readonly axes: readonly RunAxis[];
  /** Runs that nothing joins to the rest yet. */
  readonly unplaced: readonly RunAxis[];
  /** The pipes of each unplaced run on its own axis. */
  readonly ownSegments: ReadonlyMap<string, readonly Segment[]>;
  readonly reached: readonly Interval[];
  readonly reachedMain: boolean;
  readonly terminus: Terminus | null;
  readonly ends: readonly PlacedEnd[];
  readonly pipes: readonly Partition<Pipe>[];
  readonly segments: readonly Segment[];
  readonly zones: readonly ZonePiece[];
  /** Indoor zones that nobody said the end of. */
  readonly openZones: readonly OpenZone[];
  readonly features: readonly Feature[];
  readonly responsibilityLineFt: number | null;
  readonly coverage: Coverage;
  readonly grade: Grade;
};

/** Fill at which the whole bore is under water and nothing of it can be seen. */
const FULL_BORE_RATIO = 0.995;

/** The line that the reference run is on. */
export const MAIN_LINE = 'main-line';

/** The line of the house: that of the run that the job names; else the main line, or the one that joins no other. */
function houseLineOf({ runs, job, lines = [] }: Inspection): string {
  const named = runs.find(({ id }) => id === job.referenceRunId);
  if (named) return named.lineId ?? MAIN_LINE;
  const lineIds = new Set(runs.map(({ lineId = MAIN_LINE }) => lineId));
  if (lineIds.has(MAIN_LINE) || lineIds.size === 0) return MAIN_LINE;
  const trunk = lines.find(({ id, joins }) => joins === undefined && lineIds.has(id));
  return trunk?.id ?? runs[0]?.lineId ?? MAIN_LINE;
}

/** The lines of an inspection, the house's first, each with its runs. */
export function groupRunsByLine(inspection: Inspection): Map<string, Inspection['runs'][number][]> {
  const { runs } = inspection;
  const groups = new Map<string, Inspection['runs'][number][]>();
  groups.set(houseLineOf(inspection), []);
  for (const run of runs) {
    const lineId = run.lineId ?? MAIN_LINE;
    const group = groups.get(lineId);
    if (group) group.push(run);
    else groups.set(lineId, [run]);
  }
  return groups;
}

/**
 * Builds one line from its runs.
 *
 * Station 0 is the access of the reference run (of the line's first run, on other lines). Runs from
 * that same access share its origin; runs from elsewhere are placed by ties and taped distances, and
 * are unplaced while nothing joins them.
 */
export function buildLateral(
  inspection: Inspection,
  lineId: string,
  runs: Inspection['runs'],
  logs: ReadonlyMap<string, FoldedLog>,
  settings: Settings,
): Lateral {
  const { axes: laid, join } = layLine(inspection, runs, logs, settings);
  const axes = laid.filter((axis) => axis.placed);
  const features = readFeatures(axes, settings);
  const ends = readEnds(axes);
  const terminus = findTerminus(ends, features);
  const reachedMain =
    terminus !== null && endsLine(terminus.kind) && terminus.confirmedBy !== 'none';
  const reached = clipToTerminus(unite(axes.map(reachOf), TOLERANCES.samePlaceFt), terminus);
  const pipes = readPipes(axes, reached, settings);
  const { pieces: zones, open: openZones } = readZones(
    axes,
    inspection.accessPoints,
    reached,
    features,
    settings,
  );
  const lineFt = responsibilityLineFt(inspection.job, features);
  const submerged = readSubmerged(axes, pipes);
  const segments = cutSegments(pipes, zones, inspection, lineFt, settings);
  const unplaced = laid.filter((axis) => !axis.placed);
  return {
    lineId,
    join,
    axes,
    unplaced,
    ownSegments: new Map(
      unplaced.map((axis) => {
        const own = readPipes([axis], [reachOf(axis)], settings);
        return [axis.run.id, cutSegments(own, [], inspection, null, settings)];
      }),
    ),
    reached,
    reachedMain,
    terminus,
    ends,
    pipes,
    segments,
    grade: measureGrade(axes, segments, inspection.job, settings),
    zones,
    openZones,
    features,
    responsibilityLineFt: lineFt,
    coverage: measureCoverage(
      axes,
      reached,
      terminus,
      reachedMain,
      submerged,
      readUpperEnd(axes, inspection.accessPoints, reached, features, zones, inspection.job.scope),
    ),
  };
}

/** Stretches under water to the crown, as they were last seen: what drained since hides nothing. */
function readSubmerged(axes: readonly RunAxis[], pipes: readonly Partition<Pipe>[]): Interval[] {
  const pools = axes.flatMap((axis) =>
    placeStretches(axis, 'defect')
      .filter(({ entry }) => entry.defect === 'standing-water')
      .map((stretch) => ({
        stretch,
        isFull: isUnderWater(stretch, pipes),
        isStill: checkWater(stretch.entry, axis.log, axis.run).verified,
      })),
  );
  const drained = layOut(
    pools.filter(({ isFull, isStill }) => isStill && !isFull),
    ({ stretch }) => stretch.span,
  );
  return pools
    .filter(({ isFull }) => isFull)
    .filter(
      ({ stretch, isStill }) =>
        isStill ||
        !drained(stretch.span).some((one) => overlapFt(one.stretch.span, stretch.span) > 0),
    )
    .map(({ stretch }) => stretch.span);
}

function isUnderWater(
  { entry, span }: PlacedStretch<EntryOf<'defect'>>,
  pipes: readonly Partition<Pipe>[],
): boolean {
  const boreIn = boreAt(pipes, (span.fromFt + span.toFt) / 2);
  const { depthIn, fillRatio } = possibleSizes(entry, boreIn);
  if (fillRatio !== undefined) return fillRatio >= FULL_BORE_RATIO;
  return depthIn !== undefined && boreIn !== null && depthIn >= boreIn * FULL_BORE_RATIO;
}

/** Bore at a station, inches; `null` where no material was logged. */
function boreAt(pipes: readonly Partition<Pipe>[], stationFt: number): number | null {
  for (const { pieces } of pipes) {
    // At an edge the piece that ends there.
    const at = lastAtOrBelow(pieces, stationFt, ({ toFt }) => toFt);
    const piece = pieces[at]?.toFt === stationFt ? pieces[at] : pieces[at + 1];
    if (piece && piece.fromFt <= stationFt) return piece.value?.diameterIn ?? null;
  }
  return null;
}
