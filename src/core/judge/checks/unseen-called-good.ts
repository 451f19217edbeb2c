import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { readClears } from '../../lateral/clears';
import { type Check, nameLinesOf } from '../check';

/** A stretch called clear where no camera ever was. */
export const unseenCalledGood: Check = {
  code: 'unseen-called-good',
  level: 'blocker',
  stand: 'reel',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      readClears(lateral).flatMap(({ axis, entryId, span, beyondFt }) =>
        beyondFt <= TOLERANCES.beyondEndFt
          ? []
          : [
              {
                message: `Run ${axis.name}: called clear from ${sayFt(span.fromFt)} to ${sayFt(span.toFt)} ft${nameLinesOf(context).on(lateral.lineId)}, but the camera never was in ${sayFt(beyondFt)} ft of it.`,
                action: 'Say where it is clear, or go there.',
                runIds: [axis.run.id],
                entryIds: [entryId],
              },
            ],
      ),
    ),
};
