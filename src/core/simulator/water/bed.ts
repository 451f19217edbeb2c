import type { Material } from '../../catalogue/materials/index';
import { levelAtIn, obstructionsOf, pipeAt } from '../line-geometry';
import type { TruthLine } from '../truth';
import { wetAreaSqFt } from './manning';

/** Length of a cell of the bed, feet. */
export const CELL_FT = 0.5;
/** Width of the slot over a full bore in which water under pressure rises, feet (Cunge and Wegner, 1964). */
const SLOT_FT = 0.02;
/** A bore narrowed to less than this holds flowing water back. */
const CONTROLS_BELOW = 0.8;
/** Samples of a basin's volume between its floor and far over its sill. */
const SAMPLES = 96;
/** How far over its highest sill a basin's table goes, feet. */
const OVER_SILL_FT = 2;

/** The bottom of a line, cell by cell, upstream to downstream. */
export type Bed = {
  readonly line: TruthLine;
  readonly cells: number;
  /** Level over which water passes, feet: the invert, and whatever lies on it. */
  readonly floorFt: Float64Array;
  readonly boreFt: Float64Array;
  /** Fall from each cell to the next, feet per foot. */
  readonly slope: Float64Array;
  readonly materials: readonly Material[];
  readonly basins: readonly Basin[];
  /** Basin of each cell. */
  readonly basinOf: Int32Array;
};

/** A stretch between two places that hold water back: it may hold one pool. */
export type Basin = {
  readonly from: number;
  readonly to: number;
  readonly lowest: number;
  /** Level at which it spills downstream, feet, and how freely: share of the pipe's own flow. */
  readonly sillFt: number;
  readonly freedom: number;
  /** Volume held with its surface at a level, cubic feet. */
  readonly volumeAt: (levelFt: number) => number;
  /** Level of the surface of a volume, feet; with none, the lowest floor. */
  readonly levelOf: (volumeCuFt: number) => number;
};

/** Lays the bed of a line: floors, bores, and the basins that its shape makes. */
export function layBed(line: TruthLine): Bed {
  const cells = Math.max(2, Math.round(line.lengthFt / CELL_FT));
  const middleFt = (cell: number) => (cell + 0.5) * CELL_FT;
  const cellOf = (stationFt: number) =>
    Math.min(cells - 1, Math.max(0, Math.floor(stationFt / CELL_FT)));
  const pipes = Array.from({ length: cells }, (_, cell) => pipeAt(line, middleFt(cell)));
  const floorFt = Float64Array.from({ length: cells }, (_, cell) => {
    return levelAtIn(line.invert, middleFt(cell)) / 12;
  });
  const boreFt = Float64Array.from(pipes, ({ diameterIn }) => diameterIn / 12);
  const slope = new Float64Array(cells);
  const freedom = new Float64Array(cells).fill(1);
  for (const { fromFt, toFt, openRatio, damIn } of obstructionsOf(line)) {
    for (let cell = cellOf(fromFt); cell <= cellOf(toFt); cell += 1) {
      freedom[cell] = Math.min(freedom[cell]!, openRatio);
    }
    // A dam stands where the obstruction ends downstream.
    const at = cellOf(toFt);
    const invertFt = levelAtIn(line.invert, toFt) / 12;
    floorFt[at] = Math.max(floorFt[at]!, invertFt + damIn / 12);
  }
  for (let cell = 0; cell < cells; cell += 1) {
    const next = Math.min(cells - 1, cell + 1);
    const before = Math.max(0, next - 2);
    slope[cell] = (floorFt[before]! - floorFt[next]!) / ((next - before) * CELL_FT);
  }
  const starts = [0];
  for (let cell = 1; cell < cells; cell += 1) {
    const isCrest = floorFt[cell]! > floorFt[cell - 1]! && fallsAfter(floorFt, cell);
    const isControl = freedom[cell]! < CONTROLS_BELOW && freedom[cell - 1]! > freedom[cell]!;
    if (isCrest || isControl) starts.push(cell);
  }
  const basins = starts.map((from, index): Basin => {
    const next = starts[index + 1];
    const to = (next ?? cells) - 1;
    const lastFt = floorFt[to]!;
    const sillFt =
      next === undefined ? lastFt + line.outlet.levelIn / 12 : Math.max(lastFt, floorFt[next]!);
    return {
      from,
      to,
      lowest: lowestOf(floorFt, from, to),
      sillFt,
      // What an opening lets through falls faster than its area: the jet is contracted and slowed.
      freedom: next === undefined ? 1 : freedom[next]! ** 2,
      ...tabulate(floorFt, boreFt, from, to, sillFt),
    };
  });
  const basinOf = new Int32Array(cells);
  basins.forEach(({ from, to }, index) => basinOf.fill(index, from, to + 1));
  return {
    line,
    cells,
    floorFt,
    boreFt,
    slope,
    materials: pipes.map(({ material }) => material),
    basins,
    basinOf,
  };
}

/** Whether the floor goes down next after a cell, level stretches passed over. */
function fallsAfter(floorFt: Float64Array, cell: number): boolean {
  for (let next = cell + 1; next < floorFt.length; next += 1) {
    if (floorFt[next]! !== floorFt[cell]!) return floorFt[next]! < floorFt[cell]!;
  }
  return true;
}

function lowestOf(floorFt: Float64Array, from: number, to: number): number {
  let lowest = from;
  for (let cell = from; cell <= to; cell += 1) if (floorFt[cell]! < floorFt[lowest]!) lowest = cell;
  return lowest;
}

/** Volume against level, sampled so that the sill itself is a sample. */
function tabulate(
  floorFt: Float64Array,
  boreFt: Float64Array,
  from: number,
  to: number,
  sillFt: number,
): Pick<Basin, 'volumeAt' | 'levelOf'> {
  const volume = (levelFt: number) => {
    let sum = 0;
    for (let cell = from; cell <= to; cell += 1) {
      const depthFt = levelFt - floorFt[cell]!;
      if (depthFt <= 0) continue;
      const overFt = Math.max(0, depthFt - boreFt[cell]!);
      sum += (wetAreaSqFt(depthFt, boreFt[cell]!) + overFt * SLOT_FT) * CELL_FT;
    }
    return sum;
  };
  const floor = floorFt[lowestOf(floorFt, from, to)]!;
  const half = SAMPLES / 2;
  const levels = Float64Array.from({ length: SAMPLES + 1 }, (_, index) =>
    index <= half
      ? floor + ((sillFt - floor) * index) / half
      : // Close together just over the sill, where flowing water stands.
        sillFt + OVER_SILL_FT * ((index - half) / half) ** 2,
  );
  const volumes = Float64Array.from(levels, volume);
  const between = (xs: Float64Array, ys: Float64Array, x: number) => {
    if (x <= xs[0]!) return ys[0]!;
    let low = 0;
    let high = SAMPLES;
    if (x >= xs[SAMPLES]!) low = SAMPLES - 1;
    while (low < SAMPLES - 1 && high - low > 1) {
      const middle = (low + high) >> 1;
      if (xs[middle]! <= x) low = middle;
      else high = middle;
    }
    const step = xs[low + 1]! - xs[low]!;
    return step <= 0
      ? ys[low + 1]!
      : ys[low]! + ((x - xs[low]!) / step) * (ys[low + 1]! - ys[low]!);
  };
  return {
    volumeAt: (levelFt) => Math.max(0, between(levels, volumes, levelFt)),
    levelOf: (volumeCuFt) => between(volumes, levels, volumeCuFt),
  };
}
