import { type Interval, subtract, totalFt, unite } from '../base/interval';
import type { UnseenCause } from '../catalogue/vocabulary';
import type { RunAxis } from '../measure/placement';
import { type PlacedStretch, placeStretches } from '../measure/stretch';
import type { EntryOf } from '../model/log/entry';
import { endsLine, type Terminus } from './terminus';
import type { UpperEnd } from './upper-end';

/** A stretch that nobody saw, and why. */
export type UnseenStretch = Interval & {
  readonly cause: UnseenCause;
  readonly runId: string;
  readonly entryIds: readonly string[];
};

/** How much of the line was seen, feet. */
export type Coverage = {
  readonly clearFt: number;
  readonly obscuredFt: number;
  /** `null` when nobody can say how much remains. */
  readonly unreachedFt: number | null;
  readonly clear: readonly Interval[];
  readonly obscured: readonly Interval[];
  readonly gaps: readonly Interval[];
  readonly unseen: readonly UnseenStretch[];
  /** What is known of the pipe above; `null` where nothing was reached. */
  readonly upper: UpperEnd | null;
};

/** The stretch that a run went through, from its access to its end. */
export function reachOf(axis: RunAxis): Interval {
  const endFt = axis.placeAlong(axis.reachFt);
  return axis.direction === 1
    ? { fromFt: axis.originFt, toFt: endFt }
    : { fromFt: endFt, toFt: axis.originFt };
}

/** Cuts away what lies beyond the terminus: the lateral ends at the main or the tank. */
export function clipToTerminus(
  stretches: readonly Interval[],
  terminus: Terminus | null,
): Interval[] {
  const limitFt = terminus && endsLine(terminus.kind) ? terminus.stationFt : Infinity;
  return unite(stretches)
    .map(({ fromFt, toFt }) => ({ fromFt, toFt: Math.min(toFt, limitFt) }))
    .filter(({ fromFt, toFt }) => toFt >= fromFt);
}

/**
 * Works out what was seen.
 *
 * A stretch is clear when at least one run went through it without an `unseen` over it. `submerged`
 * are stretches under water to the crown, where the whole bore is hidden.
 */
export function measureCoverage(
  axes: readonly RunAxis[],
  reached: readonly Interval[],
  terminus: Terminus | null,
  reachedMain: boolean,
  submerged: readonly Interval[],
  upper: UpperEnd | null,
): Coverage {
  const unseen = axes.flatMap(readUnseen);
  const seen = axes.flatMap((axis) =>
    subtract(
      [reachOf(axis)],
      [...unseen.filter((stretch) => stretch.runId === axis.run.id), ...submerged],
    ),
  );
  const obscured = subtract(reached, seen);
  const clear = subtract(reached, obscured);
  const gaps = reached
    .slice(1)
    .map((stretch, index) => ({ fromFt: reached[index]!.toFt, toFt: stretch.fromFt }));
  return {
    clearFt: totalFt(clear),
    obscuredFt: totalFt(obscured),
    unreachedFt: unreachedFt(axes, gaps, terminus, reachedMain, upper),
    clear,
    obscured,
    gaps,
    unseen,
    upper,
  };
}

/** What one run went through, and what of it that run could not see. */
export type RunCoverage = {
  readonly runId: string;
  readonly reach: Interval;
  readonly clearFt: number;
  readonly obscuredFt: number;
  readonly obscured: readonly Interval[];
};

/** How much of its way a run saw, whatever other runs saw of it. */
export function measureRunCoverage(axis: RunAxis): RunCoverage {
  const reach = reachOf(axis);
  const clear = subtract([reach], readUnseen(axis));
  const obscured = subtract([reach], clear);
  return {
    runId: axis.run.id,
    reach,
    clearFt: totalFt(clear),
    obscuredFt: totalFt(obscured),
    obscured,
  };
}

function readUnseen(axis: RunAxis): UnseenStretch[] {
  return placeStretches(axis, 'unseen')
    .filter((stretch) => !stretch.inRiser)
    .map(unseenStretch);
}

/** An open stretch is taken to run on as far as its pass went: silence clears nothing. */
function unseenStretch(stretch: PlacedStretch<EntryOf<'unseen'>>): UnseenStretch {
  const { entry, axis } = stretch;
  const reach = reachOf(axis);
  const towardEnd = entry.pass === 'out';
  const limitFt = towardEnd === (axis.direction === 1) ? reach.toFt : reach.fromFt;
  const ends = stretch.stillOpen
    ? [stretch.span.fromFt, stretch.span.toFt, limitFt]
    : [stretch.span.fromFt, stretch.span.toFt];
  return {
    fromFt: Math.min(...ends),
    toFt: Math.max(...ends),
    cause: entry.cause,
    runId: axis.run.id,
    entryIds: [entry.id, ...(stretch.closedBy ? [stretch.closedBy.id] : [])],
  };
}

function unreachedFt(
  axes: readonly RunAxis[],
  gaps: readonly Interval[],
  terminus: Terminus | null,
  reachedMain: boolean,
  upper: UpperEnd | null,
): number | null {
  if (axes.length === 0) return null;
  const aboveFt = upper?.state === 'unreached' ? upper.remainderFt : 0;
  if (aboveFt === null) return null;
  const betweenFt = totalFt(gaps) + aboveFt;
  if (reachedMain) return betweenFt;
  if (terminus === null || terminus.remainderFt === null) return null;
  return betweenFt + terminus.remainderFt;
}
