import {
  contains,
  gapBetweenFt,
  type Interval,
  overlaps,
  subtract,
  totalFt,
} from '../base/interval';
import type { Assessment } from '../judge/assessment';
import type { Finding } from '../judge/finding';
import type { Segment } from '../lateral/segments';
import { alignLines, type Alignment } from './align-lines';

/** What became of a finding of the earlier look. */
export type Fate =
  | { readonly was: Finding; readonly fate: 'there'; readonly now: Finding }
  /** Not there any more, and the stretch was seen. `pipe`: what lies there now, where it is other pipe. */
  | { readonly was: Finding; readonly fate: 'gone'; readonly pipe: Segment | null }
  /** Nobody can tell: why. */
  | { readonly was: Finding; readonly fate: 'unproven'; readonly because: 'not-seen' | 'no-water' };

/** Two looks at one line, one after the other. */
export type Comparison = {
  readonly alignment: Alignment;
  readonly fates: readonly Fate[];
  /** Findings of the later look that the earlier one did not have. */
  readonly fresh: readonly Finding[];
};

/** Two sightings of one thing, years apart, may differ by this beyond their σ, feet. */
const ROOM_FT = 1.5;
/** How many σ of the difference. */
const SIGMAS = 3;

/** Findings that can be held against another look: placed ones of the line itself that were logged. */
function comparable({ findings, lateral }: Assessment): Finding[] {
  return findings.filter(
    ({ placed, lineId, ourDoing, kind, review }) =>
      placed &&
      lineId === lateral.lineId &&
      !ourDoing &&
      kind !== 'layout' &&
      kind !== 'material' &&
      review?.verdict !== 'dismissed',
  );
}

const shift = ({ fromFt, toFt }: Interval, byFt: number): Interval => ({
  fromFt: fromFt + byFt,
  toFt: toFt + byFt,
});

/** Whether all of a stretch was reached and seen. */
function isSeen({ lateral: { reached, coverage } }: Assessment, stretch: Interval): boolean {
  const whole = { fromFt: stretch.fromFt, toFt: Math.max(stretch.toFt, stretch.fromFt + 0.01) };
  const isReached = totalFt(subtract([whole], reached)) < 0.02;
  return isReached && !coverage.obscured.some((part) => overlaps(part, whole));
}

/** Whether water was run and had drained in the later look: without it a dry sag proves nothing. */
function wasDrained({ logs }: Assessment): boolean {
  return [...logs.values()].some(({ standing }) => {
    const ran = standing.findIndex(
      (entry) =>
        (entry.kind === 'water' && entry.state === 'running') || entry.kind === 'flow-test',
    );
    return (
      ran >= 0 &&
      standing.slice(ran).some((entry) => entry.kind === 'water' && entry.state === 'drained')
    );
  });
}

function pipeAt({ lateral }: Assessment, stationFt: number): Segment | null {
  return lateral.segments.find((segment) => contains(segment, stationFt)) ?? null;
}

/**
 * Compares two looks at the same line: what is repaired, what is there still, what is new. A finding is
 * gone only where the later look saw the place; a sag only where water was run and drained.
 */
export function compareLooks(before: Assessment, after: Assessment): Comparison {
  const alignment = alignLines(before.lateral, after.lateral);
  const left = new Set(comparable(after));
  const roomOf = (a: Finding, b: Finding) =>
    ROOM_FT + alignment.spreadFt + SIGMAS * Math.hypot(a.sigmaFt, b.sigmaFt);
  const pairs = comparable(before)
    .flatMap((was) =>
      [...left]
        .filter(({ kind }) => kind === was.kind)
        .map((now) => ({
          was,
          now,
          gapFt: gapBetweenFt(shift(was.span, alignment.offsetFt), now.span),
        })),
    )
    .filter(({ was, now, gapFt }) => gapFt <= roomOf(was, now))
    .sort((a, b) => a.gapFt - b.gapFt);
  const found = new Map<Finding, Finding>();
  for (const { was, now } of pairs) {
    if (found.has(was) || !left.has(now)) continue;
    found.set(was, now);
    left.delete(now);
  }
  const drained = wasDrained(after);
  const fates = comparable(before).map((was): Fate => {
    const now = found.get(was);
    if (now) return { was, fate: 'there', now };
    const place = shift(was.span, alignment.offsetFt);
    if (!isSeen(after, place)) return { was, fate: 'unproven', because: 'not-seen' };
    if (was.kind === 'standing-water' && !drained)
      return { was, fate: 'unproven', because: 'no-water' };
    const middleFt = (place.fromFt + place.toFt) / 2;
    const pipe = pipeAt(after, middleFt);
    const old = pipeAt(before, middleFt - alignment.offsetFt);
    const isOther =
      pipe !== null &&
      old !== null &&
      (pipe.material !== old.material || (pipe.lined && !old.lined));
    return { was, fate: 'gone', pipe: isOther ? pipe : null };
  });
  return { alignment, fates, fresh: [...left] };
}
