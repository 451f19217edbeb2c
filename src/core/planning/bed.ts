import { clip, type Interval } from '../base/interval';
import { lastAtOrBelow, memoOf } from '../base/memo';
import type { Material } from '../catalogue/materials/index';
import type { Zone } from '../catalogue/zones';
import { depthAtFt, readDepths } from '../lateral/depth';
import type { Lateral } from '../lateral/lateral';
import { type ResponsibleSide, type Segment, segmentAt } from '../lateral/segments';
import { type Ground, groundOf } from '../lateral/zones';
import { depthFactor, SHORED_FROM_FT } from '../model/prices/price-table';

/** A stretch of ground and pipe with one price for each foot of each kind of work. */
export type Cell = Interval & {
  readonly zone: Zone | null;
  readonly ground: Ground;
  readonly material: Material;
  readonly lined: boolean;
  readonly diameterIn: number | null;
  readonly side: ResponsibleSide;
  /** At its middle, feet. */
  readonly depthFt: number;
  /** How much dearer a foot of trench is here for its depth. */
  readonly factor: number;
};

/** A branch that meets the line, to be reopened when the line is lined. */
export type Tee = { readonly stationFt: number; readonly serves: string | null };

/** The ground that a line lies in. Its first and last cells go on without end. */
export type Bed = {
  readonly lateral: Lateral;
  readonly cells: readonly Cell[];
  readonly tees: readonly Tee[];
};

/** Two tees this close are one opening, feet. */
const SAME_TEE_FT = 0.5;

/** From where depth makes digging dearer, every foot is a step of its own: within one the price is nearly even. */
const DEPTH_STEPS_FT = Array.from({ length: 16 }, (_, step) => SHORED_FROM_FT + step);

/** Where the depth passes a step of the price of digging. */
function depthCuts(lateral: Lateral, from: number, to: number): number[] {
  const located = readDepths(lateral);
  const knots = [from, ...located.map(({ stationFt }) => stationFt), to]
    .filter((at) => at >= from && at <= to)
    .sort((a, b) => a - b);
  return knots.slice(1).flatMap((end, index) => {
    const start = knots[index]!;
    // Just inside its ends a piece is straight.
    const inset = Math.min(1e-6, (end - start) / 4);
    const first = depthAtFt(located, start + inset);
    const last = depthAtFt(located, end - inset);
    return DEPTH_STEPS_FT.flatMap((atFt) =>
      (first - atFt) * (last - atFt) < 0
        ? [start + ((atFt - first) / (last - first)) * (end - start)]
        : [],
    );
  });
}

/** Lays the ground of a line: cut where the pipe, the zone, the side or the step of depth changes. */
export function layBed(lateral: Lateral): Bed {
  const { segments } = lateral;
  const located = readDepths(lateral);
  const from = segments[0]?.fromFt ?? 0;
  const to = segments.at(-1)?.toFt ?? 0;
  const edges = [
    ...new Set([
      ...segments.flatMap(({ fromFt, toFt }) => [fromFt, toFt]),
      ...depthCuts(lateral, from, to),
    ]),
  ].sort((a, b) => a - b);
  const cuts = [-Infinity, ...edges.slice(1, -1), Infinity];
  const cells = cuts.slice(1).map((toFt, index): Cell => {
    const fromFt = cuts[index]!;
    const middleFt = (Math.max(fromFt, from) + Math.min(toFt, to)) / 2;
    const segment: Segment | null = segmentAt(segments, middleFt);
    const depthFt = depthAtFt(located, middleFt);
    const zone = segment?.zone ?? null;
    return {
      fromFt,
      toFt,
      zone,
      ground: groundOf(zone),
      material: segment?.material ?? 'unknown',
      lined: segment?.lined ?? false,
      diameterIn: segment?.diameterIn ?? null,
      side: segment?.responsibleSide ?? 'owner',
      depthFt,
      factor: depthFactor(depthFt),
    };
  });
  return { lateral, cells, tees: readTees(lateral) };
}

function readTees({ features }: Lateral): Tee[] {
  const tees: Tee[] = [];
  for (const { feature, stationFt, serves } of features) {
    if (feature !== 'tee' && feature !== 'wye') continue;
    const last = tees.at(-1);
    if (last && stationFt - last.stationFt <= SAME_TEE_FT) continue;
    tees.push({ stationFt, serves });
  }
  return tees;
}

/** The cells that a stretch touches, each cut to it. A point touches one. */
export function cellsWithin({ cells }: Bed, { fromFt, toFt }: Interval): Cell[] {
  const first = Math.max(
    0,
    lastAtOrBelow(cells, fromFt, (cell) => cell.fromFt),
  );
  const within: Cell[] = [];
  for (let index = first; index < cells.length; index += 1) {
    const cell = cells[index]!;
    if (cell.fromFt >= toFt && within.length > 0) break;
    within.push({
      ...cell,
      fromFt: Math.max(cell.fromFt, fromFt),
      toFt: Math.max(fromFt, Math.min(cell.toFt, toFt)),
    });
    if (cell.toFt >= toFt) break;
  }
  return within;
}

/** Tees that lie in a stretch, its ends included. */
export function teesWithin({ tees }: Bed, { fromFt, toFt }: Interval): Tee[] {
  return tees.filter(({ stationFt }) => stationFt >= fromFt - 1e-9 && stationFt <= toFt + 1e-9);
}

/** A stretch of a line in one kind of ground. The first and the last go on without end. */
export type GroundRun = Interval & { readonly ground: Ground };

/** The kinds of ground along a line. */
export const groundRunsOf = memoOf((bed: Bed): readonly GroundRun[] => {
  const runs: GroundRun[] = [];
  for (const { fromFt, toFt, ground } of bed.cells) {
    const last = runs.at(-1);
    if (last?.ground === ground) runs[runs.length - 1] = { ...last, toFt };
    else runs.push({ fromFt, toFt, ground });
  }
  return runs;
});

/** Edges this near are one edge, feet. */
export const EDGE_FT = 0.05;

/** A stretch of one kind of pipe, cut to the line. */
export type PipeRun = Interval & Pick<Cell, 'material' | 'lined'>;

/** A line from its first to its last known foot: nothing is worked beyond. */
export function lineOf({ lateral: { segments, reached } }: Bed): Interval {
  const fromFt = segments[0]?.fromFt ?? reached[0]?.fromFt ?? 0;
  return { fromFt, toFt: Math.max(fromFt, segments.at(-1)?.toFt ?? reached.at(-1)?.toFt ?? 0) };
}

/** The kinds of pipe along a line, whatever lies over them. */
export const pipeRunsOf = memoOf((bed: Bed): readonly PipeRun[] => {
  const runs: PipeRun[] = [];
  const whole = lineOf(bed);
  for (const { fromFt, toFt, material, lined } of bed.cells) {
    const part = clip({ fromFt, toFt }, whole);
    if (!part) continue;
    const last = runs.at(-1);
    if (last?.material === material && last.lined === lined)
      runs[runs.length - 1] = { ...last, toFt: part.toFt };
    else runs.push({ ...part, material, lined });
  }
  return runs;
});
