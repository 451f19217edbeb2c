import { clip, type Interval } from '../base/interval';
import { memoOf } from '../base/memo';
import type { Finding } from '../judge/finding';
import type { Ground } from '../lateral/zones';
import type { Bed } from './bed';
import { reachOfNewPipe } from './methods/families';
import type { Site } from './site';

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

/** A part of what must be worked, within one kind of ground. */
export type Piece = Interval & { readonly run: GroundRun };

/** Cuts a stretch by the ground that it lies in. */
export function cutByGround(bed: Bed, stretch: Interval): Piece[] {
  const pieces = groundRunsOf(bed).flatMap((run): Piece[] => {
    const part = clip(stretch, run);
    return part && (part.toFt > part.fromFt || stretch.toFt === stretch.fromFt)
      ? [{ ...part, run }]
      : [];
  });
  // A point on an edge lies in one ground: the downstream one.
  return stretch.toFt === stretch.fromFt ? pieces.slice(-1) : pieces;
}

/** The parts of a finding by ground; a sag counts with the pipe beyond it, to where grade is recovered. */
export function piecesOf(site: Site, bed: Bed, finding: Finding): Piece[] {
  return cutByGround(
    bed,
    finding.kind === 'standing-water' ? reachOfNewPipe(finding, site) : finding.span,
  );
}
