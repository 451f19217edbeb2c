import { interval, type Interval } from '../base/interval';
import { memoOf } from '../base/memo';
import { TOLERANCES } from '../base/tolerances';
import type { Pass } from '../catalogue/vocabulary';
import type { EntryOf } from '../model/log/entry';
import type { Place, RunAxis } from './placement';

type StretchEntry<K extends 'defect' | 'unseen'> = Extract<
  EntryOf<'defect'> | EntryOf<'unseen'>,
  { kind: K }
>;

/** A defect or an unseen stretch laid on its line. */
export type PlacedStretch<E extends EntryOf<'defect'> | EntryOf<'unseen'>> = {
  readonly entry: E;
  readonly axis: RunAxis;
  readonly pass: Pass;
  readonly span: Interval;
  readonly sigmaFt: number;
  /** The part of σ that is the readings' own. */
  readonly readingSigmaFt: number;
  /** Whether it was opened and never closed. */
  readonly stillOpen: boolean;
  /** Length between its two ends, feet; `null` when it has only one end and no said length. */
  readonly lengthFt: number | null;
  /** The entry that closed it. */
  readonly closedBy: EntryOf<'close'> | null;
  /** Whether nobody said where it is: then it lies somewhere in its span. */
  readonly isPlaceUnsaid: boolean;
  /** Whether all of it lies above the pipe, in the riser: it has no station. */
  readonly inRiser: boolean;
};

/** Finds the standing `close` of each opened entry; closes follow corrections along the chain. */
const findCloses = memoOf((axis: RunAxis): ReadonlyMap<string, EntryOf<'close'>> => {
  const closes = new Map<string, EntryOf<'close'>>();
  for (const entry of axis.log.of('close')) {
    for (const heir of axis.log.heirsOf(entry.closes)) closes.set(heir.id, entry);
  }
  return closes;
});

/**
 * Lays every standing defect or unseen entry of a run on its line.
 *
 * An entry without a footage spans the place between its neighbours in time. A said length stands in
 * for a missing end, in the direction of the pass. A stretch never closed is a point with no length.
 */
export function placeStretches<K extends 'defect' | 'unseen'>(
  axis: RunAxis,
  kind: K,
): readonly PlacedStretch<StretchEntry<K>>[] {
  const placed = kind === 'defect' ? placeDefects(axis) : placeUnseen(axis);
  return placed as readonly unknown[] as readonly PlacedStretch<StretchEntry<K>>[];
}

const placeDefects = memoOf((axis: RunAxis) => [
  ...placeAll(axis, 'defect'),
  ...lipsAtChanges(axis).map((lip) => placeStretch(axis, lip, null)),
]);

/** A lip said with a change of pipe in the same pass as one logged by itself, so near, is that one, feet. */
const SAME_LIP_FT = 1;

/** Whether a change of pipe names an upstanding edge. */
export const hasLip = (entry: EntryOf<'material'>) =>
  entry.joint === 'lip' || (entry.lipIn ?? 0) > 0;

/** Lips that were said with a change of pipe: as much a defect as one logged by itself. */
function lipsAtChanges({ log }: RunAxis): EntryOf<'defect'>[] {
  const own = log.of('defect').filter((entry) => entry.defect === 'lip');
  return log.of('material').flatMap((entry): EntryOf<'defect'>[] => {
    if (!hasLip(entry)) return [];
    const { id, at, pass, readingFt, certainty, note, photoIds, lipIn } = entry;
    const isSaid = own.some(
      (one) =>
        one.pass === pass &&
        one.readingFt !== null &&
        readingFt !== null &&
        Math.abs(one.readingFt - readingFt) <= SAME_LIP_FT,
    );
    if (isSaid) return [];
    const said = { certainty, note, photoIds, lipIn };
    const known = Object.fromEntries(
      Object.entries(said).filter(([, value]) => value !== undefined),
    );
    return [
      { ...known, kind: 'defect', defect: 'lip', locus: 'transition', id, at, pass, readingFt },
    ];
  });
}
const placeUnseen = memoOf((axis: RunAxis) => placeAll(axis, 'unseen'));

function placeAll<K extends 'defect' | 'unseen'>(axis: RunAxis, kind: K) {
  const closes = findCloses(axis);
  const entries = axis.log.of(kind) as readonly StretchEntry<K>[];
  return entries.map((entry) => placeStretch(axis, entry, closes.get(entry.id) ?? null));
}

function placeStretch<E extends EntryOf<'defect'> | EntryOf<'unseen'>>(
  axis: RunAxis,
  entry: E,
  closedBy: EntryOf<'close'> | null,
): PlacedStretch<E> {
  const start = axis.placeOfEntry(entry);
  const other = otherEnd(axis, entry, closedBy, start.from);
  const ends = other ? [start.from, start.to, other.from, other.to] : [start.from, start.to];
  const inRiser = ends.every((end) => end.alongFt < -TOLERANCES.samePlaceFt);
  // The part of a stretch that reaches into the riser is no part of the line.
  const stations = ends.map((end) =>
    inRiser ? end.stationFt : axis.placeAlong(Math.max(0, end.alongFt)),
  );
  const span = interval(Math.min(...stations), Math.max(...stations));
  const unspokenFt = Math.abs(start.to.alongFt - start.from.alongFt);
  return {
    entry,
    axis,
    pass: entry.pass,
    span,
    sigmaFt: Math.max(...ends.map((end) => end.sigmaFt)) + unspokenFt / 2,
    readingSigmaFt: Math.max(...ends.map((end) => end.readingSigmaFt)) + unspokenFt / 2,
    stillOpen: entry.open === true && other === null,
    lengthFt: other ? span.toFt - span.fromFt : null,
    closedBy,
    isPlaceUnsaid: entry.readingFt === null && other === null,
    inRiser,
  };
}

function otherEnd(
  axis: RunAxis,
  entry: EntryOf<'defect'> | EntryOf<'unseen'>,
  closedBy: EntryOf<'close'> | null,
  start: Place,
): { readonly from: Place; readonly to: Place } | null {
  if (closedBy) return axis.placeOfEntry(closedBy);
  if (entry.toReadingFt !== undefined) {
    const place = axis.placeOf(entry.pass, entry.toReadingFt);
    return { from: place, to: place };
  }
  if (entry.kind === 'defect' && entry.lengthFt !== undefined && entry.open !== true) {
    const alongFt = start.alongFt + (entry.pass === 'out' ? entry.lengthFt : -entry.lengthFt);
    const place = { ...start, alongFt, stationFt: axis.placeAlong(alongFt) };
    return { from: place, to: place };
  }
  return null;
}
