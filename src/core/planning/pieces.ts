import { clip, type Interval } from '../base/interval';
import type { Finding } from '../judge/finding';
import { type Bed, type GroundRun, groundRunsOf } from './bed';
import { reachOfNewPipe } from './methods/families';
import type { Site } from './site';

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
