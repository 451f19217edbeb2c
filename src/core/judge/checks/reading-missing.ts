import { type Check, perRun } from '../check';

/** A thing seen with no number said. */
export const readingMissing: Check = {
  code: 'reading-missing',
  level: 'warning',
  stand: 'reel',
  find: (context) =>
    perRun(context, (axis) =>
      axis.log.standing.flatMap((entry) => {
        const needsPlace = !['water', 'note', 'photo', 'setup', 'flow-test'].includes(entry.kind);
        if (entry.readingFt !== null || !needsPlace) return [];
        const { from, to } = axis.placeOfEntry(entry);
        const ends = [from.stationFt, to.stationFt].sort((a, b) => a - b);
        return [
          {
            message: `A ${entry.kind} in run ${axis.name} has no footage; it lies between ${ends[0]!.toFixed(1)} and ${ends[1]!.toFixed(1)} ft.`,
            action: 'Say its footage on the way back.',
            runIds: [axis.run.id],
            entryIds: [entry.id],
          },
        ];
      }),
    ),
};
