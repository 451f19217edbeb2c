import type { Interval } from '../base/interval';
import { memoOf } from '../base/memo';
import type { Material } from '../catalogue/materials/index';
import type { RunAxis } from '../measure/placement';
import { DEFAULT_SETTINGS } from '../model/job/settings';
import { reachOf } from './coverage';
import { readPipes } from './segments';

/** A change from one material to another, going downstream, as one run alone saw it. */
export type Change = {
  readonly axis: RunAxis;
  readonly from: Material;
  readonly to: Material;
  readonly stationFt: number;
  readonly sigmaFt: number;
  readonly entryId: string;
  /** What the run went through. */
  readonly reach: Interval;
};

/** The changes of pipe that a run saw, in station order; what only it says. */
export const changesOf = memoOf((axis: RunAxis): readonly Change[] => {
  const reach = reachOf(axis);
  return readPipes([axis], [reach], DEFAULT_SETTINGS).flatMap(({ pieces }) =>
    pieces.slice(1).flatMap((piece, index): Change[] => {
      const before = pieces[index]!;
      const [from, to] = [before.value?.material, piece.value?.material];
      const entryId = piece.entryIds[0] ?? before.entryIds.at(-1);
      if (from === undefined || to === undefined || from === to || entryId === undefined) return [];
      const entry = axis.log.byId.get(entryId);
      const sigmaFt = entry ? axis.placeOfEntry(entry).from.sigmaFt : 0;
      return [{ axis, from, to, stationFt: piece.fromFt, sigmaFt, entryId, reach }];
    }),
  );
});
