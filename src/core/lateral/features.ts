import type { FeatureKind } from '../catalogue/features/index';
import { arcsCompatible, type ClockArc } from '../measure/clock';
import { clockOf } from '../measure/join/things';
import { mergeSightings } from '../measure/merge';
import { placeGroup } from '../measure/place-group';
import type { RunAxis } from '../measure/placement';
import { pointSighting, type Sighting } from '../measure/sighting';
import type { Settings } from '../model/job/settings';
import type { EntryOf } from '../model/log/entry';

/** A feature of the line with its best station. */
export type Feature = {
  readonly feature: FeatureKind;
  readonly stationFt: number;
  /** Whether nobody said its footage: then its station is only the middle of where it may be. */
  readonly isPlaceUnsaid: boolean;
  readonly sigmaFt: number;
  /** Clock as a lens facing downstream would see it; `null` when not logged. */
  readonly clock: number | null;
  readonly serves: string | null;
  readonly angleDeg: number | null;
  readonly entryIds: readonly string[];
  readonly sightings: readonly { readonly runId: string; readonly entryId: string }[];
};

type FeatureSighting = Sighting & {
  readonly entry: EntryOf<'feature'>;
  readonly clock: ClockArc | null;
};

/** Reads the features of all placed runs, all sightings of one merged, in station order. */
export function readFeatures(axes: readonly RunAxis[], settings: Settings): Feature[] {
  const sightings = axes.flatMap((axis) =>
    axis.log.of('feature').flatMap((entry): FeatureSighting[] => {
      const sighting = pointSighting(axis, entry);
      if (sighting.alongFt < 0) return [];
      return [{ ...sighting, entry, clock: clockOf(axis, entry) }];
    }),
  );
  const groups = mergeSightings(
    sightings,
    settings.mergeFt,
    (a, b) => a.entry.feature === b.entry.feature && arcsCompatible(a.clock, b.clock),
  );
  return groups
    .map((group) => {
      const { best, span, sigmaFt } = placeGroup(group, settings.trustPass);
      const said = <K extends 'serves' | 'angleDeg'>(key: K) =>
        group.map((sighting) => sighting.entry[key]).findLast((value) => value !== undefined);
      const clock = best.clock ?? group.find((one) => one.clock !== null)?.clock ?? null;
      return {
        feature: best.entry.feature,
        stationFt: span.fromFt,
        isPlaceUnsaid: group.every(({ entry }) => entry.readingFt === null),
        sigmaFt,
        clock: clock?.from ?? null,
        serves: said('serves') ?? null,
        angleDeg: said('angleDeg') ?? null,
        entryIds: group.map((sighting) => sighting.entry.id),
        sightings: group.map(({ axis, entryId }) => ({ runId: axis.run.id, entryId })),
      };
    })
    .sort((a, b) => a.stationFt - b.stationFt);
}
