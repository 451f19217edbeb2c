import { clip, type Interval, interval, unite } from '../base/interval';
import { memoOf } from '../base/memo';
import { layOut } from '../base/near';
import type { WaterState } from '../catalogue/vocabulary';
import type { RunAxis } from '../measure/placement';
import type { Entry } from '../model/log/entry';
import type { Lateral } from './lateral';

type Point = { readonly stationFt: number; readonly state: WaterState | 'unknown' };

const stateAfter = (entry: Entry, before: Point['state']): Point['state'] => {
  if (entry.kind === 'water') return entry.state;
  return entry.kind === 'flow-test' ? 'running' : before;
};

/** Where the head was, entry by entry, and what the water did from then on. Home is at the access. */
function pathOf(axis: RunAxis): Point[] {
  const { waterAtStart = 'unknown' } = axis.run;
  let state: Point['state'] = waterAtStart;
  const points: Point[] = [{ stationFt: axis.originFt, state }];
  for (const entry of axis.log.standing) {
    // What is said of a stretch, or of another place, does not move the head.
    if (['zone', 'close', 'clear', 'advice', 'surface'].includes(entry.kind)) continue;
    state = stateAfter(entry, state);
    const isHome = entry.kind === 'home';
    if (entry.readingFt === null && !isHome) {
      const last = points.at(-1)!;
      points.push({ ...last, state });
      continue;
    }
    const along = isHome ? 0 : Math.max(0, axis.alongOf(entry.pass, entry.readingFt!));
    points.push({ stationFt: axis.placeAlong(along), state });
  }
  return points;
}

const isStill = (state: Point['state']) => state === 'drained' || state === 'none';

/**
 * The feet of a line that a camera passed with the line drained, or with no water running: only there can
 * anybody say that no water stands. A head is known to have been where something was logged, and between.
 */
export const seenDry = memoOf((lateral: Lateral): readonly Interval[] => {
  const clearNear = layOut(lateral.coverage.clear, (part) => part);
  return unite(
    lateral.axes.flatMap((axis) => {
      const path = pathOf(axis);
      return path.slice(1).flatMap((point, index) => {
        const from = path[index]!;
        if (!isStill(from.state)) return [];
        const passed = interval(from.stationFt, point.stationFt);
        return clearNear(passed).flatMap((part) => clip(passed, part) ?? []);
      });
    }),
  ).filter(({ fromFt, toFt }) => toFt > fromFt);
});
