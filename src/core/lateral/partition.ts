import type { Interval } from '../base/interval';
import { TOLERANCES } from '../base/tolerances';

/** A boundary's assertion: what lies on one side of a station. */
export type Mark<T> = {
  readonly stationFt: number;
  /** `down` toward greater stations, `up` toward lesser ones. */
  readonly side: 'up' | 'down';
  readonly value: T;
  readonly entryId: string;
  /** Later assertions have greater numbers and stand against earlier ones. */
  readonly order: number;
};

/** A stretch with one value; `null` where nothing was asserted. */
export type Piece<T> = Interval & {
  readonly value: T | null;
  readonly entryIds: readonly string[];
};

/** Two marks that assert different things of one stretch; the later one stands. */
export type Conflict = Interval & { readonly entryIds: readonly [string, string] };

export type Partition<T> = {
  readonly pieces: readonly Piece<T>[];
  readonly conflicts: readonly Conflict[];
  /** Marks of one spot and side that differ: the earlier one was given no length. */
  readonly zeroLength: readonly Conflict[];
};

type Spot<T> = { stationFt: number; up: Mark<T> | null; down: Mark<T> | null };

/**
 * Cuts a reach into stretches at every mark. Each mark asserts its value on one side, up to the
 * neighbouring mark or the end of the reach; where two assertions differ, the later one stands.
 * The pieces cover the reach exactly, without overlap.
 */
export function partition<T>(
  marks: readonly Mark<T>[],
  reach: Interval,
  same: (a: T, b: T) => boolean,
): Partition<T> {
  const zeroLength: Conflict[] = [];
  const conflicts: Conflict[] = [];
  const spots = gatherSpots(marks, same, zeroLength);
  const lowFt = reach.fromFt - TOLERANCES.samePlaceFt;
  const highFt = reach.toFt + TOLERANCES.samePlaceFt;
  const within = spots.filter((spot) => spot.stationFt >= lowFt && spot.stationFt <= highFt);
  const upstreamOfReach = spots.findLast((spot) => spot.stationFt < lowFt) ?? null;
  const beyondReach = spots.find((spot) => spot.stationFt > highFt) ?? null;
  const pieces: Piece<T>[] = [];
  // A mark at the very end of the reach is at its end: no slivers.
  const edges = within.map(({ stationFt }) => {
    if (stationFt <= reach.fromFt + TOLERANCES.samePlaceFt) return reach.fromFt;
    return stationFt >= reach.toFt - TOLERANCES.samePlaceFt ? reach.toFt : stationFt;
  });
  for (let index = 0; index <= within.length; index += 1) {
    const fromFt = index === 0 ? reach.fromFt : edges[index - 1]!;
    const toFt = index === within.length ? reach.toFt : edges[index]!;
    if (toFt <= fromFt) continue;
    const before = (within[index - 1] ?? (index === 0 ? upstreamOfReach : null))?.down ?? null;
    const after = (within[index] ?? beyondReach)?.up ?? null;
    if (before && after && !same(before.value, after.value)) {
      conflicts.push({ fromFt, toFt, entryIds: [before.entryId, after.entryId] });
    }
    const stands = !before || (after && after.order > before.order) ? after : before;
    pieces.push({
      fromFt,
      toFt,
      value: stands ? stands.value : null,
      entryIds: [before, after].flatMap((mark) => (mark ? [mark.entryId] : [])),
    });
  }
  return { pieces, conflicts, zeroLength };
}

function gatherSpots<T>(
  marks: readonly Mark<T>[],
  same: (a: T, b: T) => boolean,
  zeroLength: Conflict[],
): Spot<T>[] {
  const sorted = [...marks].sort((a, b) => a.stationFt - b.stationFt || a.order - b.order);
  const spots: Spot<T>[] = [];
  for (const mark of sorted) {
    let spot = spots.at(-1);
    if (!spot || mark.stationFt - spot.stationFt > TOLERANCES.samePlaceFt) {
      spot = { stationFt: mark.stationFt, up: null, down: null };
      spots.push(spot);
    }
    const held = spot[mark.side];
    if (held && !same(held.value, mark.value)) {
      const atFt = spot.stationFt;
      zeroLength.push({ fromFt: atFt, toFt: atFt, entryIds: [held.entryId, mark.entryId] });
    }
    // What only repeats keeps the name of the first to say it: seeing it again renames nothing.
    const isRepeat = held !== null && same(held.value, mark.value);
    if (!held || mark.order >= held.order) {
      spot[mark.side] = isRepeat ? { ...mark, entryId: held.entryId } : mark;
    }
  }
  return spots;
}
