import { lengthFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import type { Check } from '../check';
import { runsOf } from './material-conflict';

/** A piece of pipe too short to be one: two names for one spot. */
export const materialZeroLength: Check = {
  code: 'material-zero-length',
  level: 'warning',
  stand: 'desk',
  find: ({ laterals }) =>
    laterals.flatMap((lateral) => {
      const short = lateral.pipes.flatMap(({ pieces, zeroLength }) => [
        ...zeroLength,
        ...pieces.filter(
          (piece) => piece.value !== null && lengthFt(piece) < TOLERANCES.zeroLengthFt - 1e-9,
        ),
      ]);
      return short.map(({ fromFt, toFt, entryIds }) => ({
        message: `A pipe material with almost no length is logged at ${sayFt(fromFt)} ft (${sayFt(toFt - fromFt)} ft long).`,
        action: 'Retract it, or correct where it starts or ends.',
        runIds: runsOf(lateral.axes, entryIds),
        entryIds: [...entryIds],
      }));
    }),
};
