import { sayFt } from '../../base/numbers';
import { findReductions } from '../../lateral/reductions';
import { type Check, nameLinesOf, namesOfRuns } from '../check';
import { runsOf } from './material-conflict';

/** A pipe that gets smaller in the direction of flow. */
export const reducesDownstream: Check = {
  code: 'reduces-downstream',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    context.laterals.flatMap((lateral) =>
      findReductions(lateral.segments).map(({ before, after, entryIds }) => ({
        message: `The pipe goes from ${before.diameterIn} to ${after.diameterIn} in at ${sayFt(after.fromFt)} ft${nameLinesOf(context).on(lateral.lineId)} (${namesOfRuns(context, runsOf(lateral.axes, entryIds))}), in the direction of flow.`,
        action: 'Check both diameters; if they are right, it is a fault of the layout.',
        runIds: runsOf(lateral.axes, entryIds),
        entryIds,
      })),
    ),
};
