import { type Interval, totalFt, unite } from '../../../base/interval';
import { TOLERANCES } from '../../../base/tolerances';
import type { Lateral } from '../../../lateral/lateral';
import type { Finding } from '../../finding';
import { findingsOf, type Scene } from '../scene';

/** The pools by which a run's grade has failed. */
export type WetRun = {
  readonly pools: readonly Finding[];
  readonly count: number;
  readonly wetFt: number;
  /** Share of the reached length that holds water, 0 to 1. */
  readonly wetRatio: number;
  readonly span: Interval;
};

/**
 * Whether the grade of a line has failed: several verified pools, or water over most of what was
 * reached. One pool logged twice, or two that touch, count once; pools outside the scope do not count.
 *
 * @returns `null` when it has not.
 */
export function findWetRun(scene: Scene, lateral: Lateral): WetRun | null {
  const pools = findingsOf(scene, 'standing-water').filter(
    ({ lineId, placed, verified, courtesy }) =>
      lineId === lateral.lineId && placed && verified && !courtesy,
  );
  if (pools.length === 0) return null;
  // Slight puddles, however many, are no failed grade.
  const apart = unite(
    pools.filter(({ severity }) => severity !== 'slight').map(({ span }) => span),
    TOLERANCES.nearDuplicateFt,
  );
  const wetFt = totalFt(pools.map(({ span }) => span));
  const reachedFt = totalFt(lateral.reached);
  const wetRatio = reachedFt > 0 ? wetFt / reachedFt : 0;
  const { several, mostAbove } = scene.thresholds;
  if (apart.length < several && wetRatio <= mostAbove + 1e-9) return null;
  return {
    pools,
    count: Math.max(apart.length, 1),
    wetFt,
    wetRatio,
    span: {
      fromFt: Math.min(...pools.map(({ span }) => span.fromFt)),
      toFt: Math.max(...pools.map(({ span }) => span.toFt)),
    },
  };
}
