import { type Interval, unite } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';
import type { Inspection } from '../job/inspection';
import type { Settings } from '../job/settings';
import type { FoldedLog } from '../log/fold';
import type { EntryOf } from '../log/entry';
import type { LineJoin } from '../measure/join/join';
import type { RunAxis } from '../measure/placement';
import { type PlacedStretch, placeStretches } from '../measure/stretch';
import { clipToTerminus, type Coverage, measureCoverage, reachOf } from './coverage';
import { type Feature, readFeatures } from './features';
import { type Grade, measureGrade } from './grade/grade';
import { layLine } from './lay-line';
import type { Partition } from './partition';
import { cutSegments, type Pipe, readPipes, responsibilityLineFt, type Segment } from './segments';
import { endsLine, findTerminus, type PlacedEnd, readEnds, type Terminus } from './terminus';
import { readZones, type ZonePiece } from './zones';

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
  readonly features: readonly Feature[];
  readonly responsibilityLineFt: number | null;
  readonly coverage: Coverage;
  readonly grade: Grade;
};

/** Fill at which the whole bore is under water and nothing of it can be seen. */
const FULL_BORE_RATIO = 0.995;

/** The line that the reference run is on. */
export const MAIN_LINE = 'main-line';

/** The lines of an inspection, the reference run's first, each with its runs. */
export function groupRunsByLine(inspection: Inspection): Map<string, Inspection['runs'][number][]> {
  const { runs, job } = inspection;
  const reference = runs.find((run) => run.id === job.referenceRunId) ?? runs[0];
  const groups = new Map<string, Inspection['runs'][number][]>();
  groups.set(reference?.lineId ?? MAIN_LINE, []);
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
  const zones = readZones(axes, inspection.accessPoints, reached, features, settings);
  const lineFt = responsibilityLineFt(inspection.job, features);
  const submerged = axes.flatMap((axis) =>
    placeStretches(axis, 'defect').filter((stretch) => isUnderWater(stretch, pipes)),
  );
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
    features,
    responsibilityLineFt: lineFt,
    coverage: measureCoverage(
      axes,
      reached,
      terminus,
      reachedMain,
      submerged.map((stretch) => stretch.span),
    ),
  };
}

function isUnderWater(
  { entry, span }: PlacedStretch<EntryOf<'defect'>>,
  pipes: readonly Partition<Pipe>[],
): boolean {
  if (entry.defect !== 'standing-water') return false;
  if (entry.fillRatio !== undefined) return entry.fillRatio >= FULL_BORE_RATIO;
  if (entry.depthIn === undefined) return false;
  const boreIn = boreAt(pipes, (span.fromFt + span.toFt) / 2);
  return boreIn !== null && entry.depthIn >= boreIn * FULL_BORE_RATIO;
}

/** Bore at a station, inches; `null` where no material was logged. */
function boreAt(pipes: readonly Partition<Pipe>[], stationFt: number): number | null {
  for (const { pieces } of pipes) {
    const piece = pieces.find((p) => stationFt >= p.fromFt && stationFt <= p.toFt);
    if (piece) return piece.value?.diameterIn ?? null;
  }
  return null;
}
