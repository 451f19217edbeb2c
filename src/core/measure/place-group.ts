import { interval, type Interval } from '../base/interval';
import type { Pass } from '../catalogue/vocabulary';
import type { RunAxis } from './placement';
import { compareText, type Sighting } from './sighting';

/** The sighting to trust for the station: of each run its trusted pass, then the smallest σ of them. */
export function mostTrusted<S extends Sighting>(group: readonly S[], trustPass: Pass): S {
  if (group.length === 1) return group[0]!;
  const best = new Map<string, S>();
  const byPass = (a: S, b: S) =>
    Number(a.oneEnded ?? false) - Number(b.oneEnded ?? false) ||
    Number(b.pass === trustPass) - Number(a.pass === trustPass) ||
    a.sigmaFt - b.sigmaFt;
  for (const sighting of group) {
    const held = best.get(sighting.axis.run.id);
    if (!held || byPass(sighting, held) < 0) best.set(sighting.axis.run.id, sighting);
  }
  return [...best.values()].sort(
    (a, b) =>
      Number(a.oneEnded ?? false) - Number(b.oneEnded ?? false) ||
      a.sigmaFt - b.sigmaFt ||
      compareText(a.axis.run.id, b.axis.run.id),
  )[0]!;
}

const isTied = (axis: RunAxis, entryId: string) =>
  (axis.words.tieOf(entryId)?.stationFt ?? null) !== null;

/**
 * Where a group lies: as its most trusted sighting has it; a tied thing lies where its tie does, which
 * all its sightings have part in.
 */
export function placeGroup<S extends Sighting>(
  group: readonly S[],
  trustPass: Pass,
): { readonly best: S; readonly span: Interval; readonly sigmaFt: number } {
  const tied = group.filter(({ axis, entryId }) => isTied(axis, entryId));
  const best = mostTrusted(tied.length > 0 ? tied : group, trustPass);
  const tie = best.axis.words.tieOf(best.entryId);
  if (!tie || tie.stationFt === null || tie.sigmaFt === null) {
    return { best, span: best.span, sigmaFt: best.sigmaFt };
  }
  const entry = best.axis.log.byId.get(best.entryId)!;
  const { from, to } = best.axis.placeOfEntry(entry);
  const shiftFt = tie.stationFt - (from.stationFt + to.stationFt) / 2;
  const span = interval(best.span.fromFt + shiftFt, best.span.toFt + shiftFt);
  return { best, span, sigmaFt: tie.sigmaFt };
}
