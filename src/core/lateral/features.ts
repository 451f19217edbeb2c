import type { Settings } from '../job/settings';
import type { EntryOf } from '../log/entry';
import type { FeatureKind } from '../log/vocabulary';
import { arcsCompatible, normaliseArc } from '../measure/clock';
import { mergeSightings, mostTrusted, type Sighting } from '../measure/merge';
import type { RunAxis } from '../measure/placement';

/** A feature of the line with its best station. */
export type Feature = {
  readonly feature: FeatureKind;
  readonly stationFt: number;
  readonly sigmaFt: number;
  /** Clock as a lens facing downstream would see it; `null` when not logged. */
  readonly clock: number | null;
  readonly serves: string | null;
  readonly angleDeg: number | null;
  readonly entryIds: readonly string[];
};

type FeatureSighting = Sighting & {
  readonly entry: EntryOf<'feature'>;
  readonly clock: number | null;
};

/** Reads the features of all placed runs, out and back sightings merged, in station order. */
export function readFeatures(axes: readonly RunAxis[], settings: Settings): Feature[] {
  const sightings = axes.flatMap((axis) =>
    axis.log.standing.flatMap((entry): FeatureSighting[] => {
      if (entry.kind !== 'feature') return [];
      const { from, to } = axis.placeOfEntry(entry);
      if ((from.alongFt + to.alongFt) / 2 < 0) return [];
      const stationFt = (from.stationFt + to.stationFt) / 2;
      return [
        {
          runId: axis.run.id,
          pass: entry.pass,
          span: { fromFt: stationFt, toFt: stationFt },
          sigmaFt: from.sigmaFt + Math.abs(to.alongFt - from.alongFt) / 2,
          entry,
          clock:
            entry.clock === undefined
              ? null
              : normaliseArc({ from: entry.clock, to: entry.clock }, axis.run.facing).from,
        },
      ];
    }),
  );
  const arc = (clock: number | null) => (clock === null ? null : { from: clock, to: clock });
  const groups = mergeSightings(
    sightings,
    settings.mergeFt,
    (a, b) => a.entry.feature === b.entry.feature && arcsCompatible(arc(a.clock), arc(b.clock)),
  );
  return groups
    .map((group) => {
      const best = mostTrusted(group, settings.trustPass);
      const said = <K extends 'serves' | 'angleDeg'>(key: K) =>
        group.map((sighting) => sighting.entry[key]).findLast((value) => value !== undefined);
      return {
        feature: best.entry.feature,
        stationFt: best.span.fromFt,
        sigmaFt: best.sigmaFt,
        clock: best.clock ?? group.find((sighting) => sighting.clock !== null)?.clock ?? null,
        serves: said('serves') ?? null,
        angleDeg: said('angleDeg') ?? null,
        entryIds: group.map((sighting) => sighting.entry.id),
      };
    })
    .sort((a, b) => a.stationFt - b.stationFt);
}
