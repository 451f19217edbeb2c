import { lengthFt } from '../../base/interval';
import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { type Check, nameLinesOf, sayRuns } from '../check';

/** A reached stretch whose material nobody said. */
export const materialGap: Check = {
  code: 'material-gap',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      lateral.pipes
        .flatMap(({ pieces }) => pieces)
        .filter((piece) => piece.value === null && lengthFt(piece) >= TOLERANCES.zeroLengthFt)
        .map(({ fromFt, toFt }) => ({
          message: `Nobody said what the pipe is made of between ${sayFt(fromFt)} and ${sayFt(toFt)} ft${nameLinesOf(context).on(lateral.lineId)} (${sayRuns(lateral.axes.map(({ name }) => name))}).`,
          action: 'Log the material and diameter there.',
          runIds: lateral.axes.map(({ run }) => run.id),
          entryIds: [],
        })),
    ),
};
