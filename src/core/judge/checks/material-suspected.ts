import { type Check, perRun, sayWhere } from '../check';

/** A material called with doubt: every conclusion that rests on it is provisional. */
export const materialSuspected: Check = {
  code: 'material-suspected',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, (axis) =>
      axis.log.of('material').flatMap((entry) =>
        (entry.certainty ?? 'confirmed') !== 'confirmed'
          ? [
              {
                message: `The material at ${sayWhere(axis, entry)} is only suspected.`,
                action: 'Look again at a cut end or a joint, and correct or confirm it.',
                runIds: [axis.run.id],
                entryIds: [entry.id],
              },
            ]
          : [],
      ),
    ),
};
