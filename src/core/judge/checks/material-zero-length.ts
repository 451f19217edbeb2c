import { lengthFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { nameMaterial } from '../../catalogue/materials/kinds';
import type { Lateral } from '../../lateral/lateral';
import type { RunAxis } from '../../measure/placement';
import type { EntryOf } from '../../model/log/entry';
import { type Check, nameLinesOf, namesOfRuns } from '../check';
import { runsOf } from './material-conflict';

/** Pipes called beyond a run's own end, where no camera of this line went on: nobody was in them. */
function calledAtEnd(
  lateral: Lateral,
): { axis: RunAxis; entry: EntryOf<'material'>; atFt: number }[] {
  return lateral.axes.flatMap((axis) =>
    axis.log.of('material').flatMap((entry) => {
      if (entry.side !== 'far') return [];
      const { to } = axis.placeOfEntry(entry);
      const isAtEnd = axis.reachFt > 0 && to.alongFt >= axis.reachFt - TOLERANCES.samePlaceFt;
      const goesOn = lateral.reached.some(({ fromFt, toFt }) =>
        axis.direction === 1
          ? toFt > to.stationFt + TOLERANCES.zeroLengthFt && fromFt <= to.stationFt
          : fromFt < to.stationFt - TOLERANCES.zeroLengthFt && toFt >= to.stationFt,
      );
      return isAtEnd && !goesOn ? [{ axis, entry, atFt: to.stationFt }] : [];
    }),
  );
}

/** A piece of pipe too short to be one: two names for one spot, or a name for what nobody was in. */
export const materialZeroLength: Check = {
  code: 'material-zero-length',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    context.laterals.flatMap((lateral) => {
      const on = nameLinesOf(context).on(lateral.lineId);
      const short = lateral.pipes.flatMap(({ pieces, zeroLength }) => [
        ...zeroLength,
        ...pieces.filter(
          (piece) => piece.value !== null && lengthFt(piece) < TOLERANCES.zeroLengthFt - 1e-9,
        ),
      ]);
      return [
        ...short.map(({ fromFt, toFt, entryIds }) => ({
          message: `A pipe material with almost no length is logged at ${sayFt(fromFt)} ft${on} (${sayFt(toFt - fromFt)} ft long; ${namesOfRuns(context, runsOf(lateral.axes, entryIds))}).`,
          action: 'Retract it, or correct where it starts or ends.',
          runIds: runsOf(lateral.axes, entryIds),
          entryIds: [...entryIds],
        })),
        ...calledAtEnd(lateral).map(({ axis, entry, atFt }) => ({
          message: `Run ${axis.name}: ${nameMaterial(entry.material)} is logged at ${sayFt(atFt)} ft${on}, where the run ended: the camera was in none of it.`,
          action: 'Retract it, or correct its footage or the end of the run.',
          runIds: [axis.run.id],
          entryIds: [entry.id],
        })),
      ];
    }),
};
