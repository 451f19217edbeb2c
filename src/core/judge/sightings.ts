import { memoOf } from '../base/memo';
import type { Lateral } from '../lateral/lateral';
import { arcsCompatible, type ClockArc } from '../measure/clock';
import { clockOf } from '../measure/join/things';
import { mergeSightings } from '../measure/merge';
import type { RunAxis } from '../measure/placement';
import type { Sighting } from '../measure/sighting';
import { type PlacedStretch, placeStretches } from '../measure/stretch';
import { checkWater, type WaterCheck } from '../measure/water';
import type { Settings } from '../model/job/settings';
import type { EntryOf } from '../model/log/entry';

/** One sighting of a defect on one pass. */
export type DefectSighting = Sighting & {
  readonly stretch: PlacedStretch<EntryOf<'defect'>>;
  readonly clock: ClockArc | null;
  readonly water: WaterCheck | null;
};

function sightingsOf(axis: RunAxis): DefectSighting[] {
  return placeStretches(axis, 'defect').map((stretch) => ({
    axis,
    entryId: stretch.entry.id,
    pass: stretch.pass,
    span: stretch.span,
    sigmaFt: stretch.sigmaFt,
    readingSigmaFt: stretch.readingSigmaFt,
    oneEnded: stretch.stillOpen,
    stretch,
    clock: clockOf(axis, stretch.entry),
    water:
      stretch.entry.defect === 'standing-water'
        ? checkWater(stretch.entry, axis.log, axis.run)
        : null,
  }));
}

/** Whether one sighting only repeats another: the same sizes and marks, whenever and by whichever pass. */
const saysTheSame = (a: DefectSighting, b: DefectSighting): boolean =>
  factsSaid(a.stretch.entry) === factsSaid(b.stretch.entry);

const factsSaid = memoOf((entry: EntryOf<'defect'>): string => {
  const { id: _id, at: _at, pass: _pass, replaces: _replaces, photoIds: _photos, ...facts } = entry;
  return JSON.stringify(Object.entries(facts).sort());
});

/** Every defect of a line as groups of sightings of one thing. Unplaced runs merge with nothing. */
export function groupDefects(lateral: Lateral, settings: Settings): DefectSighting[][] {
  const compatible = (a: DefectSighting, b: DefectSighting) =>
    a.stretch.entry.defect === b.stretch.entry.defect && arcsCompatible(a.clock, b.clock);
  const placed = lateral.axes.flatMap(sightingsOf);
  return [
    ...mergeSightings(placed, settings.mergeFt, compatible, saysTheSame),
    ...lateral.unplaced.flatMap((axis) =>
      mergeSightings(sightingsOf(axis), settings.mergeFt, compatible, saysTheSame),
    ),
  ];
}

/** The sighting that a grade rests on: verified water first, then the trusted pass, then the latest. */
export function rankSightings(
  group: readonly DefectSighting[],
  settings: Settings,
): readonly DefectSighting[] {
  if (group.length === 1) return group;
  return [...group].sort(
    (a, b) =>
      Number(b.water?.verified ?? true) - Number(a.water?.verified ?? true) ||
      Number(b.pass === settings.trustPass) - Number(a.pass === settings.trustPass) ||
      Date.parse(b.stretch.entry.at) - Date.parse(a.stretch.entry.at),
  );
}
