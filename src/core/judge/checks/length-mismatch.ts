import { sayFt } from '../../base/numbers';
import { TOLERANCES } from '../../base/tolerances';
import { placeStretches } from '../../measure/stretch';
import { type Check, perRun, sayWhere } from '../check';

/** A length that is not the distance between its two ends. */
export const lengthMismatch: Check = {
  code: 'length-mismatch',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    perRun(context, (axis) =>
      placeStretches(axis, 'defect').flatMap(({ entry, lengthFt, closedBy }) => {
        const hasTwoEnds = entry.toReadingFt !== undefined || closedBy !== null;
        if (entry.lengthFt === undefined || lengthFt === null || !hasTwoEnds) return [];
        if (Math.abs(entry.lengthFt - lengthFt) <= TOLERANCES.saidLengthFt) return [];
        return [
          {
            message: `${entry.defect} at ${sayWhere(axis, entry)} was said to be ${sayFt(entry.lengthFt)} ft long, but its ends are ${sayFt(lengthFt)} ft apart.`,
            action: 'Correct the end or the length that is wrong.',
            runIds: [axis.run.id],
            entryIds: [entry.id, ...(closedBy ? [closedBy.id] : [])],
          },
        ];
      }),
    ),
};
