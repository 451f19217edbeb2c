import { levelAtIn } from '../line-geometry';
import type { LateralTruth, TruthFixture } from '../truth';
import { type Bed, CELL_FT, layBed } from './bed';
import { CUBIC_FEET_PER_GALLON, depthOfAreaFt, flowCfs } from './manning';

/** Water over one sill runs off at least this fast, so that a film does not stay for ever, cubic feet/s. */
const FILM_CFS = 5e-4;
/** Fall with which water leaves over a sill when the pipe beyond it is flatter, feet per foot. */
const SILL_SLOPE = 0.005;
/** Longest step of the water, seconds: moving water may cross one cell in it. */
const STEP_S = 0.1;
/** Levels closer than this are one, feet. */
const SAME_FT = 1e-7;
/** A trickle below this is nothing, cubic feet. */
const NOTHING_CUFT = 1e-12;

/** The water of a whole lateral. Volumes in cubic feet, levels in feet on the lateral's datum. */
export type Water = {
  /** Lets time pass with these fixtures running. */
  readonly step: (seconds: number, running: readonly TruthFixture[]) => void;
  /** Depth over the invert at a station, inches; 0 where it is dry. May be more than the bore. */
  readonly depthIn: (lineId: string, stationFt: number) => number;
  /** Level of the surface of a pool at a station, inches; `null` where none stands. */
  readonly poolLevelIn: (lineId: string, stationFt: number) => number | null;
  readonly heldCuFt: () => number;
  /** What has come in, and what has left into the main or the tank, since the start. */
  readonly cameCuFt: () => number;
  readonly goneCuFt: () => number;
  /** Whether nothing moves any more. */
  readonly isStill: () => boolean;
};

type Stream = {
  readonly bed: Bed;
  /** Water on its way, cell by cell. */
  readonly moving: Float64Array;
  readonly pools: Float64Array;
  /** The stream and station that this one runs into. */
  readonly into: { readonly stream: Stream; readonly cell: number } | null;
};

/**
 * The water of a lateral, by reservoirs and a kinematic wave.
 *
 * Each basin of the invert is a reservoir with one level surface; what it holds over its sill leaves by
 * Manning's formula. Between basins water runs downhill cell by cell at the flow that Manning gives for
 * its depth. Pools that meet over a sill share one level. Nothing is made or lost: a step only moves
 * volumes. Momentum and backwater against a slope are left out.
 *
 * @param fullRatio how full the basins are at the start, 0 to 1: a house that is lived in keeps them full.
 */
export function createWater(truth: LateralTruth, fullRatio = 1): Water {
  const streams = new Map<string, Stream>();
  const streamOf = (lineId: string): Stream => {
    const known = streams.get(lineId);
    if (known) return known;
    const line = truth.lines.find(({ id }) => id === lineId);
    if (!line) throw new Error(`Lateral ${truth.id} has no line ${lineId}`);
    const bed = layBed(line);
    const into = line.joins
      ? {
          stream: streamOf(line.joins.lineId),
          cell: cellAt(streamOf(line.joins.lineId).bed, line.joins.atFt),
        }
      : null;
    const pools = Float64Array.from(
      bed.basins,
      ({ sillFt, volumeAt }) => volumeAt(sillFt) * fullRatio,
    );
    const stream: Stream = { bed, moving: new Float64Array(bed.cells), pools, into };
    streams.set(lineId, stream);
    return stream;
  };
  truth.lines.forEach(({ id }) => streamOf(id));
  // A line is stepped before the one that it runs into.
  const order = [...streams.values()].reverse();
  order.sort((a, b) => stepsToOutlet(b) - stepsToOutlet(a));
  let came = 0;
  let gone = 0;

  const substep = (seconds: number, running: readonly TruthFixture[]) => {
    for (const { lineId, atFt, flowGpm } of running) {
      const stream = streamOf(lineId);
      const volume = (flowGpm / 60) * CUBIC_FEET_PER_GALLON * seconds;
      came += volume;
      receive(stream, cellAt(stream.bed, atFt), volume);
    }
    for (const stream of order) {
      runDown(stream, seconds);
      const left = spill(stream, seconds);
      share(stream);
      if (stream.into) receive(stream.into.stream, stream.into.cell, left);
      else gone += left;
    }
  };
  const poolLevelFt = (stream: Stream, stationFt: number) => {
    const basin = stream.bed.basinOf[cellAt(stream.bed, stationFt)]!;
    const volume = stream.pools[basin]!;
    return volume > NOTHING_CUFT ? stream.bed.basins[basin]!.levelOf(volume) : -Infinity;
  };
  return {
    step: (seconds, running) => {
      const count = Math.max(1, Math.ceil(seconds / STEP_S - 1e-9));
      for (let index = 0; index < count; index += 1) substep(seconds / count, running);
    },
    depthIn: (lineId, stationFt) => {
      const stream = streamOf(lineId);
      const { bed, moving } = stream;
      const cell = cellAt(bed, stationFt);
      const poolIn = poolLevelFt(stream, stationFt) * 12 - levelAtIn(bed.line.invert, stationFt);
      const runningIn = 12 * depthOfAreaFt(moving[cell]! / CELL_FT, bed.boreFt[cell]!);
      return Math.max(0, poolIn, runningIn);
    },
    poolLevelIn: (lineId, stationFt) => {
      const stream = streamOf(lineId);
      const levelIn = poolLevelFt(stream, stationFt) * 12;
      return levelIn > levelAtIn(stream.bed.line.invert, stationFt) ? levelIn : null;
    },
    heldCuFt: () => order.reduce((sum, { moving, pools }) => sum + total(moving) + total(pools), 0),
    cameCuFt: () => came,
    goneCuFt: () => gone,
    isStill: () =>
      order.every(
        (stream) =>
          stream.moving.every((volume) => volume <= NOTHING_CUFT) &&
          stream.bed.basins.every((_, index) => spareOf(stream, index) <= NOTHING_CUFT),
      ),
  };
}

const total = (volumes: Float64Array) => volumes.reduce((sum, volume) => sum + volume, 0);

function stepsToOutlet(stream: Stream): number {
  return stream.into ? 1 + stepsToOutlet(stream.into.stream) : 0;
}

function cellAt(bed: Bed, stationFt: number): number {
  return Math.min(bed.cells - 1, Math.max(0, Math.floor(stationFt / CELL_FT)));
}

/** Whether a cell lies under the surface of its basin's pool, or is where that pool begins. */
function isPool(stream: Stream, cell: number, levelFt: number): boolean {
  const { lowest } = stream.bed.basins[stream.bed.basinOf[cell]!]!;
  return cell >= lowest || stream.bed.floorFt[cell]! < levelFt;
}

function levelOf(stream: Stream, basin: number): number {
  return stream.bed.basins[basin]!.levelOf(stream.pools[basin]!);
}

/** Takes water in at a cell: into the pool that stands there, else onto the way down. */
function receive(stream: Stream, cell: number, volume: number): void {
  const basin = stream.bed.basinOf[cell]!;
  if (isPool(stream, cell, levelOf(stream, basin))) stream.pools[basin]! += volume;
  else stream.moving[cell]! += volume;
}

/** Moves what is on its way one step down its slope. */
function runDown(stream: Stream, seconds: number): void {
  const { bed, moving, pools } = stream;
  bed.basins.forEach(({ from, lowest, levelOf: level }, basin) => {
    const levelFt = level(pools[basin]!);
    // From below: what moved into a cell in this step stays there until the next.
    for (let cell = lowest; cell >= from; cell -= 1) {
      const here = moving[cell]!;
      if (here <= NOTHING_CUFT || isPool(stream, cell, levelFt)) {
        pools[basin]! += here;
        moving[cell] = 0;
        continue;
      }
      const depthFt = depthOfAreaFt(here / CELL_FT, bed.boreFt[cell]!);
      const flow = flowCfs(depthFt, bed.boreFt[cell]!, bed.slope[cell]!, bed.materials[cell]!);
      const down = Math.min(here, Math.max(flow, FILM_CFS) * seconds);
      moving[cell] = here - down;
      if (isPool(stream, cell + 1, levelFt)) pools[basin]! += down;
      else moving[cell + 1]! += down;
    }
  });
}

/** What a pool holds over its sill and can lose; nothing to a pool that stands as high beyond it. */
function spareOf(stream: Stream, index: number): number {
  const { basins } = stream.bed;
  const { sillFt, volumeAt } = basins[index]!;
  const spare = stream.pools[index]! - volumeAt(sillFt);
  if (spare <= 0) return 0;
  const isDammed =
    index < basins.length - 1 && levelOf(stream, index + 1) >= levelOf(stream, index) - SAME_FT;
  return isDammed ? 0 : spare;
}

/** Lets what stands over each sill run off; returns what left the line. */
function spill(stream: Stream, seconds: number): number {
  const { bed, pools } = stream;
  let left = 0;
  bed.basins.forEach((basin, index) => {
    const spare = spareOf(stream, index);
    if (spare <= 0) return;
    const isLast = index === bed.basins.length - 1;
    const at = basin.to;
    const slope = Math.max(SILL_SLOPE, bed.slope[Math.min(bed.cells - 1, at + 1)]!);
    const flow =
      flowCfs(levelOf(stream, index) - basin.sillFt, bed.boreFt[at]!, slope, bed.materials[at]!) *
      basin.freedom;
    const over = Math.min(spare, Math.max(flow, FILM_CFS) * seconds);
    pools[index]! -= over;
    if (isLast) left += over;
    else receive(stream, at + 1, over);
  });
  return left;
}

/** Levels pools that meet over a sill, and lets one that stands higher downstream run back. */
function share(stream: Stream): void {
  const { bed, pools } = stream;
  let from = 0;
  while (from < bed.basins.length - 1) {
    let to = from;
    while (to < bed.basins.length - 1 && meetOver(stream, to)) to += 1;
    if (to > from) {
      const group = bed.basins.slice(from, to + 1);
      const held = pools.subarray(from, to + 1);
      const volume = total(held);
      let low = Math.min(...group.map((_, index) => levelOf(stream, from + index)));
      let high = Math.max(...group.map((_, index) => levelOf(stream, from + index)));
      for (let round = 0; round < 40; round += 1) {
        const middle = (low + high) / 2;
        if (group.reduce((sum, { volumeAt }) => sum + volumeAt(middle), 0) > volume) high = middle;
        else low = middle;
      }
      let rest = volume;
      group.forEach(({ volumeAt }, index) => {
        const isLast = index === group.length - 1;
        held[index] = isLast ? rest : Math.min(rest, volumeAt(low));
        rest -= held[index];
      });
    }
    from = to + 1;
  }
}

/** Whether the pool beyond a basin's sill stands over that sill, so that the two have one surface. */
function meetOver(stream: Stream, basin: number): boolean {
  return levelOf(stream, basin + 1) > stream.bed.basins[basin]!.sillFt + SAME_FT;
}
