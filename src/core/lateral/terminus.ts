import type { Confirmation, EndReason } from '../catalogue/vocabulary';
import type { RunAxis } from '../measure/placement';
import type { EntryOf } from '../model/log/entry';
import type { Feature } from './features';

/** Where the line, or what was seen of it, ends downstream. */
export type Terminus = {
  readonly kind: EndReason;
  readonly stationFt: number;
  readonly confirmedBy: Confirmation;
  readonly remainderFt: number | null;
  readonly entryId: string;
};

/** An end of a run with its station. */
export type PlacedEnd = {
  readonly axis: RunAxis;
  readonly entry: EntryOf<'end'>;
  readonly stationFt: number;
};

/** Whether a line ends where this end is: at the main or at a tank. */
export function endsLine(reason: EndReason): boolean {
  return reason === 'main' || reason === 'tank';
}

/** Every standing `end` of the runs given. */
export function readEnds(axes: readonly RunAxis[]): PlacedEnd[] {
  return axes.flatMap((axis) =>
    axis.log.of('end').flatMap((entry) => {
      const tiedFt = axis.words.tieOf(entry.id)?.stationFt;
      return [{ axis, entry, stationFt: tiedFt ?? axis.placeOfEntry(entry).to.stationFt }];
    }),
  );
}

/**
 * Finds the terminus: a confirmed main or tank first, then one not confirmed, then the most
 * downstream end of a run that faces downstream. At the main its tap, if seen, is the exact place.
 *
 * @returns `null` when no run has an end that tells.
 */
export function findTerminus(
  ends: readonly PlacedEnd[],
  features: readonly Feature[],
): Terminus | null {
  const rank = (end: PlacedEnd) =>
    endsLine(end.entry.reason) ? (end.entry.confirmedBy === 'none' ? 1 : 2) : 0;
  const candidates = ends
    .filter((end) => endsLine(end.entry.reason) || end.axis.direction === 1)
    .sort((a, b) => rank(b) - rank(a) || b.stationFt - a.stationFt);
  const best = candidates[0];
  if (!best) return null;
  const seen = endsLine(best.entry.reason)
    ? features.find(
        ({ feature, isPlaceUnsaid }) =>
          !isPlaceUnsaid && feature === (best.entry.reason === 'tank' ? 'tank' : 'main-tap'),
      )
    : undefined;
  return {
    kind: best.entry.reason,
    stationFt: seen?.stationFt ?? best.stationFt,
    confirmedBy: best.entry.confirmedBy,
    remainderFt: best.entry.remainderFt ?? null,
    entryId: best.entry.id,
  };
}
