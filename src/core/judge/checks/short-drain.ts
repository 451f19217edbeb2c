import { checkWater } from '../../measure/water';
import { type Check, perRun, sayWhere } from '../check';

/** Standing water judged soon after the water went off: it may still have been on its way. */
export const shortDrain: Check = {
  code: 'short-drain',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, (axis) =>
      axis.log.of('defect').flatMap((entry) => {
        if (entry.defect !== 'standing-water') return [];
        const { verified, drainedMin } = checkWater(entry, axis.log, axis.run);
        if (!verified || drainedMin === null || drainedMin >= context.settings.minDrainMin)
          return [];
        return [
          {
            message: `Standing water at ${sayWhere(axis, entry)} was judged ${Math.round(drainedMin)} min after the water went off; ${context.settings.minDrainMin} min is the least.`,
            action: 'Wait and look again.',
            runIds: [axis.run.id],
            entryIds: [entry.id],
          },
        ];
      }),
    ),
};
