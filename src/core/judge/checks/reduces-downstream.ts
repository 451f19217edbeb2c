import { sayFt } from '../../base/numbers';
import type { Check } from '../check';
import { runsOf } from './material-conflict';

/** A pipe that gets smaller in the direction of flow. */
export const reducesDownstream: Check = {
  code: 'reduces-downstream',
  level: 'warning',
  find: ({ laterals }) =>
    laterals.flatMap((lateral) => {
      const sized = lateral.segments.filter(({ diameterIn }) => diameterIn !== null);
      return sized.slice(1).flatMap((segment, index) => {
        const before = sized[index]!;
        if (segment.diameterIn! >= before.diameterIn!) return [];
        const entryIds = [...new Set([...before.entryIds, ...segment.entryIds])];
        return [
          {
            message: `The pipe goes from ${before.diameterIn} to ${segment.diameterIn} in at ${sayFt(segment.fromFt)} ft, in the direction of flow.`,
            action: 'Check both diameters; if they are right, it is a fault of the layout.',
            runIds: runsOf(lateral.axes, entryIds),
            entryIds,
          },
        ];
      });
    }),
};
