import { clip, type Interval, lengthFt } from '../../base/interval';
import type { Job } from '../../model/job/job';
import type { Segment } from '../segments';

/**
 * Fall that a bore usually needs, inches per foot: ¼ for 3 in and less; ⅛ for 4 to 6 in where the local
 * rule allows; 1⁄16 above. Usual plumbing-code minima; the job's `minFallInPerFt` stands before them.
 */
export function usualFallInPerFt(boreIn: number | null): number {
  if (boreIn === null) return 1 / 8;
  if (boreIn <= 3) return 1 / 4;
  return boreIn <= 6 ? 1 / 8 : 1 / 16;
}

/** Fall that a stretch needs from end to end, inches; the parts nobody logged count as 4 in pipe. */
export function requiredFallIn(job: Job, segments: readonly Segment[], stretch: Interval): number {
  if (job.minFallInPerFt !== undefined) return job.minFallInPerFt * lengthFt(stretch);
  let knownFt = 0;
  let fallIn = 0;
  for (const segment of segments) {
    const part = clip(segment, stretch);
    if (!part) continue;
    knownFt += lengthFt(part);
    fallIn += lengthFt(part) * usualFallInPerFt(segment.diameterIn);
  }
  return fallIn + Math.max(0, lengthFt(stretch) - knownFt) * usualFallInPerFt(null);
}
