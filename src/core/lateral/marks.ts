import type { Interval } from '../base/interval';
import { mergeSightings } from '../measure/merge';
import { placeGroup } from '../measure/place-group';
import type { RunAxis } from '../measure/placement';
import { pointSighting, type Sighting } from '../measure/sighting';
import type { Settings } from '../model/job/settings';
import type { EntryOf } from '../model/log/entry';
import type { Mark } from './partition';

type BoundaryEntry = EntryOf<'material'> | EntryOf<'zone'>;
type Boundary<K extends 'material' | 'zone'> = Extract<BoundaryEntry, { kind: K }>;
type BoundarySighting<T> = Sighting & {
  readonly entry: BoundaryEntry;
  readonly side: 'up' | 'down';
  readonly value: T;
  readonly order: number;
};

/**
 * Where a boundary lies along its run. One that nobody gave a footage is somewhere between its neighbours: it
 * begins where it can only have begun already, so that no footage is told that nobody said.
 */
function alongOfBoundary(axis: RunAxis, entry: BoundaryEntry): number {
  const { from, to } = axis.placeOfEntry(entry);
  const ends = [from.alongFt, to.alongFt];
  return entry.side === 'far' ? Math.max(...ends) : Math.min(...ends);
}

/**
 * Reads the boundaries of one kind off every placed run as marks on the line.
 *
 * Out and back sightings of one boundary get one station. What is said in the riser holds from the
 * access on; what is said toward the riser from inside it says nothing about the line.
 */
export function readMarks<K extends 'material' | 'zone', T>(
  axes: readonly RunAxis[],
  kind: K,
  valueOf: (entry: Boundary<K>, axis: RunAxis) => T,
  same: (a: T, b: T) => boolean,
  settings: Settings,
): Mark<T>[] {
  const seen: BoundarySighting<T>[] = [];
  for (const axis of axes) {
    const inRiser: { alongFt: number; sighting: BoundarySighting<T> }[] = [];
    axis.log.of(kind).forEach((entry: BoundaryEntry, order) => {
      const point = pointSighting(axis, entry);
      const alongFt = alongOfBoundary(axis, entry);
      if (alongFt < 0 && entry.side === 'near') return;
      const stationFt = axis.placeAlong(Math.max(0, alongFt));
      const isDown = (entry.side === 'far') === (axis.direction === 1);
      const sighting: BoundarySighting<T> = {
        ...point,
        span: { fromFt: stationFt, toFt: stationFt },
        entry,
        side: isDown ? 'down' : 'up',
        value: valueOf(entry as Boundary<K>, axis),
        order: Date.parse(entry.at) + order * 1e-6,
      };
      if (alongFt < 0) inRiser.push({ alongFt, sighting });
      else seen.push(sighting);
    });
    const deepest = inRiser.sort((a, b) => b.alongFt - a.alongFt)[0];
    if (deepest) seen.push(deepest.sighting);
  }
  const groups = mergeSightings(
    seen,
    settings.mergeFt,
    (a, b) => a.side !== b.side || same(a.value, b.value),
  );
  return groups.flatMap((group) => {
    const station: Interval = placeGroup(group, settings.trustPass).span;
    return group.map((sighting) => ({
      stationFt: station.fromFt,
      side: sighting.side,
      value: sighting.value,
      entryId: sighting.entry.id,
      order: sighting.order,
    }));
  });
}
