import { type Check, perRun, sayReading, sayWhere } from '../check';

/** A stretch logged on the way out whose far end is the nearer one. */
export const stretchReversed: Check = {
  code: 'stretch-reversed',
  level: 'warning',
  stand: 'desk',
  find: (context) =>
    perRun(context, (axis) =>
      axis.log.standing.flatMap((entry) => {
        if (entry.kind !== 'defect' && entry.kind !== 'unseen') return [];
        if (entry.pass !== 'out' || entry.readingFt === null) return [];
        if (entry.toReadingFt === undefined || entry.toReadingFt >= entry.readingFt) return [];
        return [
          {
            message: `The stretch at ${sayWhere(axis, entry)} runs back to ${sayReading(entry.toReadingFt)} on the way out.`,
            action: 'Check both ends; correct the one that was said wrongly.',
            runIds: [axis.run.id],
            entryIds: [entry.id],
          },
        ];
      }),
    ),
};
